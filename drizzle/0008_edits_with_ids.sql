CREATE TABLE "design_edit" (
	"site_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"asked" text NOT NULL,
	"answer" jsonb NOT NULL,
	CONSTRAINT "design_edit_site_id_id_pk" PRIMARY KEY("site_id","id")
);
--> statement-breakpoint
ALTER TABLE "design_edit" ADD CONSTRAINT "design_edit_site_id_site_id_fk" FOREIGN KEY ("site_id") REFERENCES "public"."site"("id") ON DELETE cascade ON UPDATE no action;