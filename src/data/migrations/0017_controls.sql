CREATE TABLE "control_plans" (
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "control_plans_pk" PRIMARY KEY("id","version")
);
--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "control" text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "tare_by" text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "tare" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "density" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "control_plan" jsonb;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "groups_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "lots" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "adjustment" text DEFAULT 'holm' NOT NULL;