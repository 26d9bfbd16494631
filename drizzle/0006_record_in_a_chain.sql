ALTER TABLE "site" ADD COLUMN "record_count" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "record_hash" text;--> statement-breakpoint
ALTER TABLE "site_record" ADD COLUMN "seq" integer;--> statement-breakpoint
ALTER TABLE "site_record" ADD COLUMN "hash" text;--> statement-breakpoint
-- Entries of a time before the chain get a place and no hash.
ALTER TABLE "site_record" DISABLE TRIGGER "site_record_is_append_only";--> statement-breakpoint
UPDATE "site_record" r SET "seq" = o.place FROM (
  SELECT "site_id", "id", row_number() OVER (PARTITION BY "site_id" ORDER BY "recorded_at", "id") AS place FROM "site_record"
) o WHERE o."site_id" = r."site_id" AND o."id" = r."id";--> statement-breakpoint
ALTER TABLE "site_record" ENABLE TRIGGER "site_record_is_append_only";--> statement-breakpoint
UPDATE "site" s SET "record_count" = (SELECT count(*) FROM "site_record" r WHERE r."site_id" = s."id");--> statement-breakpoint
ALTER TABLE "site_record" ALTER COLUMN "seq" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "site_record" ADD CONSTRAINT "site_record_one_place_in_the_chain" UNIQUE("site_id","seq");--> statement-breakpoint
-- Two phones may put the same entry right before they hear of each other: both are facts, and the rules say which counts.
ALTER TABLE "site_record" DROP CONSTRAINT "site_record_corrected_once";--> statement-breakpoint
ALTER TABLE "shelf_item" DROP CONSTRAINT "shelf_item_kind_known";--> statement-breakpoint
ALTER TABLE "shelf_item" ADD CONSTRAINT "shelf_item_kind_known" CHECK ("shelf_item"."kind" in ('module', 'inverter', 'instrument'));
