CREATE TABLE "backdrop" (
	"site_id" uuid NOT NULL,
	"id" text NOT NULL,
	"type" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	"kept_at" timestamp with time zone NOT NULL,
	CONSTRAINT "backdrop_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "backdrop" ADD CONSTRAINT "backdrop_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;