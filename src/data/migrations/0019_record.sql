CREATE TABLE "office" (
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "office_pk" PRIMARY KEY("id","version")
);
--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "office" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "occasion" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "authorised_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "received_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "items_condition" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "measured_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "measured_where" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "environment" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "procedure" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "deviations" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "from_others" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "traceability" text DEFAULT '' NOT NULL;