CREATE TABLE "instruments" (
	"id" uuid NOT NULL,
	"version" integer NOT NULL,
	"words" jsonb NOT NULL,
	"changed_by" text NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "instruments_pk" PRIMARY KEY("id","version")
);
