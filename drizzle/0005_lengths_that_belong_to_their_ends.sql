ALTER TABLE "plane" ADD COLUMN "rear_share" double precision;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "length_to_id" text;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "leads_m" double precision;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "y_m" double precision;--> statement-breakpoint
-- Ways back of the edition before lead to documents of that edition: they end here.
DELETE FROM "design_history" WHERE "back" IS NOT NULL;
