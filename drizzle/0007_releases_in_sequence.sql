ALTER TABLE "release" ADD COLUMN "seq" integer;--> statement-breakpoint
-- The order of releases is the database's own and no clock's; those that are there keep the order they had.
ALTER TABLE "release" DISABLE TRIGGER "release_is_frozen";--> statement-breakpoint
UPDATE "release" r SET "seq" = o.place FROM (
  SELECT "site_id", "letter", row_number() OVER (PARTITION BY "site_id" ORDER BY "released_at", length("letter"), "letter") AS place FROM "release"
) o WHERE o."site_id" = r."site_id" AND o."letter" = r."letter";--> statement-breakpoint
ALTER TABLE "release" ENABLE TRIGGER "release_is_frozen";--> statement-breakpoint
ALTER TABLE "release" ALTER COLUMN "seq" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "release" ADD CONSTRAINT "release_one_place_in_the_sequence" UNIQUE("site_id","seq");--> statement-breakpoint
CREATE TRIGGER release_is_not_emptied BEFORE TRUNCATE ON "release" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
