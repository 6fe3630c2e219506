CREATE TABLE "key_entries" (
	"number" integer PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"who" text NOT NULL,
	"action" text NOT NULL,
	"name" text NOT NULL,
	"key" text NOT NULL,
	"proof" text DEFAULT '' NOT NULL,
	"previous" text DEFAULT '' NOT NULL,
	"hash" text NOT NULL,
	CONSTRAINT "key_entries_action_known" CHECK ("action" in ('entered', 'withdrawn'))
);
--> statement-breakpoint
ALTER TABLE "findings" ADD COLUMN "jws" text DEFAULT '' NOT NULL;