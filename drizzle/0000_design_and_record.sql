CREATE TABLE "ac_run" (
	"site_id" uuid NOT NULL,
	"inverter_id" text NOT NULL,
	"ord" integer NOT NULL,
	"run" jsonb NOT NULL,
	CONSTRAINT "ac_run_site_id_inverter_id_pk" PRIMARY KEY("site_id","inverter_id")
);
--> statement-breakpoint
CREATE TABLE "chain_device" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"kind" text NOT NULL,
	"label" text NOT NULL,
	"inverter_id" text,
	"address" smallint,
	"terminated" boolean NOT NULL,
	"cable" jsonb NOT NULL,
	CONSTRAINT "chain_device_site_id_id_pk" PRIMARY KEY("site_id","id"),
	CONSTRAINT "chain_device_address_in_range" CHECK ("chain_device"."address" between 1 and 247)
);
--> statement-breakpoint
CREATE TABLE "design_history" (
	"site_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"design" jsonb NOT NULL,
	CONSTRAINT "design_history_site_id_revision_pk" PRIMARY KEY("site_id","revision")
);
--> statement-breakpoint
CREATE TABLE "inverter" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"tag" text NOT NULL,
	"type_id" text NOT NULL,
	"position" jsonb,
	CONSTRAINT "inverter_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "plane" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"label" text NOT NULL,
	"tilt_deg" double precision NOT NULL,
	"azimuth_deg" double precision NOT NULL,
	"module_type_id" text NOT NULL,
	"module_count" integer NOT NULL,
	"mounting" text NOT NULL,
	"position" jsonb,
	CONSTRAINT "plane_site_id_id_pk" PRIMARY KEY("site_id","id"),
	CONSTRAINT "plane_counts_modules" CHECK ("plane"."module_count" >= 0),
	CONSTRAINT "plane_tilt_in_range" CHECK ("plane"."tilt_deg" between 0 and 90),
	CONSTRAINT "plane_azimuth_in_range" CHECK ("plane"."azimuth_deg" >= 0 and "plane"."azimuth_deg" < 360)
);
--> statement-breakpoint
CREATE TABLE "pv_string" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"number" integer NOT NULL,
	"plane_id" text NOT NULL,
	"modules" smallint NOT NULL,
	"inverter_id" text,
	"tracker" smallint,
	"input" smallint,
	CONSTRAINT "pv_string_site_id_id_pk" PRIMARY KEY("site_id","id"),
	CONSTRAINT "pv_string_hangs_wholly_or_not" CHECK (("pv_string"."inverter_id" is null) = ("pv_string"."tracker" is null) and ("pv_string"."tracker" is null) = ("pv_string"."input" is null)),
	CONSTRAINT "pv_string_has_modules" CHECK ("pv_string"."modules" between 1 and 60)
);
--> statement-breakpoint
CREATE TABLE "release" (
	"site_id" uuid NOT NULL,
	"letter" text NOT NULL,
	"revision" integer NOT NULL,
	"design" jsonb NOT NULL,
	"released_by" text NOT NULL,
	"released_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "release_site_id_letter_pk" PRIMARY KEY("site_id","letter"),
	CONSTRAINT "release_has_a_letter" CHECK ("release"."letter" ~ '^[A-Z]{1,2}$')
);
--> statement-breakpoint
CREATE TABLE "shelf_item" (
	"kind" text NOT NULL,
	"id" text NOT NULL,
	"sheet" jsonb NOT NULL,
	CONSTRAINT "shelf_item_kind_id_pk" PRIMARY KEY("kind","id"),
	CONSTRAINT "shelf_item_kind_known" CHECK ("shelf_item"."kind" in ('module', 'inverter'))
);
--> statement-breakpoint
CREATE TABLE "site" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"survey" jsonb NOT NULL,
	"board" jsonb NOT NULL,
	"chain_bit_rate" integer,
	"summary" jsonb NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "site_inverter_type" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"sheet" jsonb NOT NULL,
	CONSTRAINT "site_inverter_type_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "site_module_type" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"ord" integer NOT NULL,
	"sheet" jsonb NOT NULL,
	CONSTRAINT "site_module_type_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
CREATE TABLE "site_record" (
	"site_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"kind" text NOT NULL,
	"scope" text NOT NULL,
	"subject_id" text NOT NULL,
	"release" text NOT NULL,
	"done_at" timestamp with time zone NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	"corrects" uuid,
	"body" jsonb NOT NULL,
	CONSTRAINT "site_record_site_id_id_pk" PRIMARY KEY("site_id","id"),
	CONSTRAINT "site_record_does_not_correct_itself" CHECK ("site_record"."corrects" <> "site_record"."id")
);
--> statement-breakpoint
ALTER TABLE "ac_run" ADD CONSTRAINT "ac_run_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "ac_run" ADD CONSTRAINT "ac_run_starts_at_an_inverter" FOREIGN KEY ("site_id","inverter_id") REFERENCES "public"."inverter"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chain_device" ADD CONSTRAINT "chain_device_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "chain_device" ADD CONSTRAINT "chain_device_is_an_inverter" FOREIGN KEY ("site_id","inverter_id") REFERENCES "public"."inverter"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "design_history" ADD CONSTRAINT "design_history_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inverter" ADD CONSTRAINT "inverter_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "inverter" ADD CONSTRAINT "inverter_has_a_type" FOREIGN KEY ("site_id","type_id") REFERENCES "public"."site_inverter_type"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plane" ADD CONSTRAINT "plane_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plane" ADD CONSTRAINT "plane_has_a_module_type" FOREIGN KEY ("site_id","module_type_id") REFERENCES "public"."site_module_type"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_lies_on_a_plane" FOREIGN KEY ("site_id","plane_id") REFERENCES "public"."plane"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_hangs_on_an_inverter" FOREIGN KEY ("site_id","inverter_id") REFERENCES "public"."inverter"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "release" ADD CONSTRAINT "release_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_inverter_type" ADD CONSTRAINT "site_inverter_type_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_module_type" ADD CONSTRAINT "site_module_type_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_record" ADD CONSTRAINT "site_record_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_record" ADD CONSTRAINT "site_record_was_made_on_a_release" FOREIGN KEY ("site_id","release") REFERENCES "public"."release"("site_id","letter") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "site_record" ADD CONSTRAINT "site_record_corrects_a_record" FOREIGN KEY ("site_id","corrects") REFERENCES "public"."site_record"("site_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "site_record_by_subject" ON "site_record" USING btree ("site_id","scope","subject_id");