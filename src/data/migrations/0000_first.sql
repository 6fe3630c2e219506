CREATE TABLE "cases" (
	"id" uuid PRIMARY KEY NOT NULL,
	"reference" text NOT NULL,
	"subject" text NOT NULL,
	"party" text NOT NULL,
	"state" text DEFAULT 'open' NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "cases_state_known" CHECK ("state" in ('open', 'closed'))
);
--> statement-breakpoint
CREATE TABLE "claims" (
	"id" uuid PRIMARY KEY NOT NULL,
	"case_id" uuid NOT NULL,
	"sample_id" uuid NOT NULL,
	"position" integer NOT NULL,
	"source" text NOT NULL,
	"wording" text NOT NULL,
	"quantity" text NOT NULL,
	"relation" text NOT NULL,
	"claimed_value" text NOT NULL,
	"tolerance_below" text NOT NULL,
	"tolerance_above" text NOT NULL,
	"unit" text NOT NULL,
	"burden" text,
	"significance_level" text NOT NULL,
	"confidence_level" text NOT NULL,
	"known_standard_deviation" text NOT NULL,
	"decimals" text NOT NULL,
	"outcome" text,
	"revision" integer NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "claims_case_id_position_unique" UNIQUE("case_id","position"),
	CONSTRAINT "claims_relation_known" CHECK ("relation" in ('at-least', 'at-most', 'more-than', 'less-than', 'equal-to', 'different-from', 'within')),
	CONSTRAINT "claims_burden_known" CHECK ("burden" in ('challenge', 'substantiate')),
	CONSTRAINT "claims_outcome_known" CHECK ("outcome" in ('contradicted', 'not-contradicted', 'supported', 'not-supported'))
);
--> statement-breakpoint
CREATE TABLE "samples" (
	"id" uuid PRIMARY KEY NOT NULL,
	"case_id" uuid NOT NULL,
	"readings" text NOT NULL,
	"decimal_mark" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"updated_at" timestamp with time zone NOT NULL,
	CONSTRAINT "samples_decimal_mark_known" CHECK ("decimal_mark" in ('point', 'comma'))
);
--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_case_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_sample_id_fk" FOREIGN KEY ("sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_case_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cases_updated_at_idx" ON "cases" USING btree ("updated_at");--> statement-breakpoint
CREATE INDEX "samples_case_id_idx" ON "samples" USING btree ("case_id");