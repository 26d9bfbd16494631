ALTER TABLE "site" DROP COLUMN "dc_cable";--> statement-breakpoint
ALTER TABLE "site" DROP COLUMN "locks";--> statement-breakpoint
ALTER TABLE "site" DROP COLUMN "energy";--> statement-breakpoint
ALTER TABLE "site" DROP COLUMN "chain_bit_rate";