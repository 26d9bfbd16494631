ALTER TABLE "chain_device" ADD COLUMN "bus" smallint DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "chain_device" DROP CONSTRAINT "chain_device_address_once_a_chain";--> statement-breakpoint
ALTER TABLE "chain_device" ADD CONSTRAINT "chain_device_address_once_a_bus" UNIQUE ("site_id", "bus", "address") DEFERRABLE INITIALLY DEFERRED;
