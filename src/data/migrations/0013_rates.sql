ALTER TABLE "samples" DROP CONSTRAINT "samples_kind_known";--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "exposure_unit" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "events" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "exposure" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_kind_known" CHECK ("kind" in ('typed', 'file', 'summary', 'count', 'events'));