ALTER TABLE "design_history" ADD COLUMN "what" text DEFAULT 'the last change' NOT NULL;--> statement-breakpoint
ALTER TABLE "design_history" ADD COLUMN "ahead" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "standing" text DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD CONSTRAINT "site_standing_known" CHECK ("site"."standing" in ('open', 'archived', 'deleted'));