CREATE TABLE "column_chunks" (
	"sample_id" uuid NOT NULL,
	"column_position" integer NOT NULL,
	"position" integer NOT NULL,
	"cells" "bytea" NOT NULL,
	CONSTRAINT "column_chunks_pk" PRIMARY KEY("sample_id","column_position","position")
);
--> statement-breakpoint
CREATE TABLE "sheet_columns" (
	"sample_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"length" integer NOT NULL,
	"missing" integer NOT NULL,
	"dictionary" jsonb NOT NULL,
	CONSTRAINT "sheet_columns_pk" PRIMARY KEY("sample_id","position"),
	CONSTRAINT "sheet_columns_kind_known" CHECK ("kind" in ('number', 'category', 'text', 'date'))
);
--> statement-breakpoint
CREATE TABLE "trail_entries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"case_id" uuid NOT NULL,
	"sample_id" uuid,
	"at" timestamp with time zone NOT NULL,
	"who" text NOT NULL,
	"action" text NOT NULL,
	"detail" text NOT NULL,
	CONSTRAINT "trail_entries_action_known" CHECK ("action" in ('brought-in', 'set-aside', 'brought-back'))
);
--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "decimal_mark" text DEFAULT 'point' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "reading_column" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "kept" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "kind" text DEFAULT 'typed' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "columns" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "set_aside" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "sample_size" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "mean" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "spread" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "spread_is" text DEFAULT 'standard-deviation' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "count" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "drawn_how" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "drawn_at_random" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "drawn_when" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "drawn_where" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "drawn_by" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "lot" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "lot_size" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "instrument" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "resolution" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "calibrated_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "file_name" text;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "file_bytes" bigint;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "file_sha256" text;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "row_count" integer;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "column_chunks" ADD CONSTRAINT "column_chunks_column_fk" FOREIGN KEY ("sample_id","column_position") REFERENCES "public"."sheet_columns"("sample_id","position") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheet_columns" ADD CONSTRAINT "sheet_columns_sample_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_case_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_sample_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "trail_entries_case_id_idx" ON "trail_entries" USING btree ("case_id");--> statement-breakpoint
CREATE INDEX "trail_entries_sample_id_idx" ON "trail_entries" USING btree ("sample_id");--> statement-breakpoint
CREATE INDEX "claims_sample_id_idx" ON "claims" USING btree ("sample_id");--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_decimal_mark_known" CHECK ("decimal_mark" in ('point', 'comma'));--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_kind_known" CHECK ("kind" in ('typed', 'file', 'summary', 'count'));--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_spread_is_known" CHECK ("spread_is" in ('standard-deviation', 'variance'));--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_drawn_at_random_known" CHECK ("drawn_at_random" in ('unknown', 'random', 'not-random'));--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_file_whole" CHECK (("kind" = 'file') = ("file_sha256" is not null and "row_count" is not null));--> statement-breakpoint
ALTER TABLE "column_chunks" ALTER COLUMN "cells" SET STORAGE EXTERNAL;--> statement-breakpoint
UPDATE "claims" SET "decimal_mark" = "samples"."decimal_mark" FROM "samples" WHERE "samples"."id" = "claims"."sample_id";
