-- Unique keys that one edit may swap between rows are judged at commit.
ALTER TABLE "inverter" ADD CONSTRAINT "inverter_tag_once_a_site" UNIQUE ("site_id", "tag") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "plane" ADD CONSTRAINT "plane_label_once_a_site" UNIQUE ("site_id", "label") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_number_once_a_site" UNIQUE ("site_id", "number") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "pv_string" ADD CONSTRAINT "pv_string_one_per_input" UNIQUE ("site_id", "inverter_id", "tracker", "input") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "chain_device" ADD CONSTRAINT "chain_device_address_once_a_chain" UNIQUE ("site_id", "address") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "chain_device" ADD CONSTRAINT "chain_device_inverter_once" UNIQUE ("site_id", "inverter_id") DEFERRABLE INITIALLY DEFERRED;--> statement-breakpoint
ALTER TABLE "site_record" ADD CONSTRAINT "site_record_corrected_once" UNIQUE ("site_id", "corrects");--> statement-breakpoint
-- What happened stays as it was written; so does a released design.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;--> statement-breakpoint
CREATE TRIGGER site_record_is_append_only BEFORE UPDATE OR DELETE ON "site_record" FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
CREATE TRIGGER site_record_is_not_emptied BEFORE TRUNCATE ON "site_record" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();--> statement-breakpoint
CREATE TRIGGER release_is_frozen BEFORE UPDATE OR DELETE ON "release" FOR EACH ROW EXECUTE FUNCTION refuse_change();
