CREATE TABLE "energy_year" (
	"site_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"weather" text NOT NULL,
	"year" integer NOT NULL,
	"result" jsonb NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "energy_year_site_id_revision_weather_year_pk" PRIMARY KEY("site_id","revision","weather","year")
);
--> statement-breakpoint
CREATE TABLE "site_weather" (
	"site_id" uuid PRIMARY KEY NOT NULL,
	"fingerprint" text NOT NULL,
	"weather" jsonb NOT NULL,
	"read_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "pv_string" DROP CONSTRAINT "pv_string_hangs_wholly_or_not";--> statement-breakpoint
ALTER TABLE "plane" ADD COLUMN "edge_m" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "plane" ADD COLUMN "engineered_uoc_cold_v" double precision;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "branch" smallint;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "start" jsonb;--> statement-breakpoint
ALTER TABLE "pv_string" ADD COLUMN "length_m" double precision;--> statement-breakpoint
-- Sites of before: nobody has said anything about cable, locks and energy yet.
ALTER TABLE "site" ADD COLUMN "dc_cable" jsonb NOT NULL DEFAULT '{"sectionMm2":null,"mode":null,"ambientC":null,"circuitsTogether":null,"conductorC":60,"fuseA":null,"dropReason":""}';--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "locks" jsonb NOT NULL DEFAULT '[]';--> statement-breakpoint
ALTER TABLE "site" ADD COLUMN "energy" jsonb NOT NULL DEFAULT '{"utcOffsetH":null,"clearness":null,"monthlyMeanC":null,"dailyRangeK":8,"albedo":0.2,"lossPercent":3}';--> statement-breakpoint
ALTER TABLE "site" ALTER COLUMN "dc_cable" DROP DEFAULT, ALTER COLUMN "locks" DROP DEFAULT, ALTER COLUMN "energy" DROP DEFAULT;--> statement-breakpoint
UPDATE "site" SET "survey" = '{"building":null,"coldMethod":"coefficient","engineeredDocument":""}'::jsonb || "survey";--> statement-breakpoint
UPDATE "site_inverter_type" SET "sheet" = '{"connectorMaxV":null}'::jsonb || "sheet";--> statement-breakpoint
UPDATE "shelf_item" SET "sheet" = '{"connectorMaxV":null}'::jsonb || "sheet" WHERE "kind" = 'inverter';--> statement-breakpoint
UPDATE "pv_string" SET "branch" = 1 WHERE "input" IS NOT NULL;--> statement-breakpoint
SET CONSTRAINTS ALL IMMEDIATE;--> statement-breakpoint
-- A Y-branch hangs two strings on one input, told apart by their branch. Judged at commit, so that two strings can change places.
ALTER TABLE "pv_string" DROP CONSTRAINT "pv_string_one_per_input";--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_one_per_input" UNIQUE ("site_id", "inverter_id", "tracker", "input", "branch") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "energy_year" ADD CONSTRAINT "energy_year_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_weather" ADD CONSTRAINT "site_weather_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_branch_of_a_y" CHECK ("pv_string"."branch" in (1, 2));--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_hangs_wholly_or_not" CHECK (("pv_string"."inverter_id" is null) = ("pv_string"."tracker" is null) and ("pv_string"."tracker" is null) = ("pv_string"."input" is null) and ("pv_string"."input" is null) = ("pv_string"."branch" is null));