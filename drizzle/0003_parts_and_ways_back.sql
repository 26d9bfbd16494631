CREATE TABLE "design_part" (
	"site_id" uuid NOT NULL,
	"part" text NOT NULL,
	"edition" integer NOT NULL,
	"value" jsonb NOT NULL,
	CONSTRAINT "design_part_site_id_part_pk" PRIMARY KEY("site_id","part")
);
--> statement-breakpoint
ALTER TABLE "design_history" ALTER COLUMN "design" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ALTER COLUMN "summary" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "design_history" ADD COLUMN "back" jsonb;--> statement-breakpoint
ALTER TABLE "energy_year" ADD COLUMN "rules" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "edition" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "shape" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "summary_revision" integer;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "summary_rules" text;--> statement-breakpoint
ALTER TABLE "design_part" ADD CONSTRAINT "design_part_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "design_history" ADD CONSTRAINT "design_history_leads_back" CHECK (("design_history"."back" is null) <> ("design_history"."design" is null));--> statement-breakpoint
-- What stood in columns of the site stands in its parts now.
INSERT INTO "design_part" ("site_id", "part", "edition", "value")
  SELECT "id", 'strings', 1, jsonb_build_object('dcCable', "dc_cable", 'locks', "locks", 'energy', "energy") FROM "site";--> statement-breakpoint
INSERT INTO "design_part" ("site_id", "part", "edition", "value")
  SELECT "id", 'links', 1, jsonb_build_object('bitRate', "chain_bit_rate") FROM "site";
