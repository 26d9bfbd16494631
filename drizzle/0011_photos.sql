CREATE TABLE "site_photo" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"kept_at" timestamp with time zone NOT NULL,
	CONSTRAINT "site_photo_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "site_photo" ADD CONSTRAINT "site_photo_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;