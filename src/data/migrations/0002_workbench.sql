CREATE TABLE "findings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"claim_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"signed_by" text NOT NULL,
	"signed_on" text NOT NULL,
	"outcome" text NOT NULL,
	"core_version" text NOT NULL,
	"input_fingerprint" text NOT NULL,
	"signed" text NOT NULL,
	"fingerprint" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "findings_claim_id_number_unique" UNIQUE("claim_id","number"),
	CONSTRAINT "findings_outcome_known" CHECK ("outcome" in ('contradicted', 'not-contradicted', 'supported', 'not-supported')),
	CONSTRAINT "findings_fingerprint_whole" CHECK ("fingerprint" ~ '^[0-9a-f]{64}$')
);
--> statement-breakpoint
ALTER TABLE "trail_entries" DROP CONSTRAINT "trail_entries_action_known";--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "parameter" text DEFAULT 'mean' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "method" text DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "interval_method" text DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "interval_sides" text DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "continuity_correction" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "two_sided_rule" text DEFAULT 'auto' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "mid_p" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "counted" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "second_sample_id" uuid;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "second_reading_column" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "second_kept" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "claims" ADD COLUMN "remarks" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "samples" ADD COLUMN "taken_independently" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "claim_id" uuid;--> statement-breakpoint
ALTER TABLE "findings" ADD CONSTRAINT "findings_claim_id_fk" FOREIGN KEY ("claim_id") REFERENCES "public"."claims"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_second_sample_id_fk" FOREIGN KEY ("second_sample_id") REFERENCES "public"."samples"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_claim_id_fk" FOREIGN KEY ("claim_id") REFERENCES "public"."claims"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "claims_second_sample_id_idx" ON "claims" USING btree ("second_sample_id");--> statement-breakpoint
CREATE INDEX "trail_entries_claim_id_idx" ON "trail_entries" USING btree ("claim_id");--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_parameter_known" CHECK ("parameter" in ('mean', 'standard-deviation', 'variance', 'proportion', 'variance-ratio', 'median'));--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_method_known" CHECK ("method" in ('auto', 't', 'z', 'bootstrap', 'chi-square', 'bonett', 'score-z', 'exact-binomial', 'hypergeometric', 'f', 'levene', 'brown-forsythe', 'signed-rank', 'sign'));--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_interval_method_known" CHECK ("interval_method" in ('auto', 'wilson', 'wilson-corrected', 'clopper-pearson', 'agresti-coull', 'jeffreys', 'wald'));--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_interval_sides_known" CHECK ("interval_sides" in ('auto', 'two-sided', 'lower', 'upper'));--> statement-breakpoint
ALTER TABLE "claims" ADD CONSTRAINT "claims_two_sided_rule_known" CHECK ("two_sided_rule" in ('auto', 'minimum-likelihood', 'doubled'));--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_taken_independently_known" CHECK ("taken_independently" in ('unknown', 'independent', 'not-independent'));--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_action_known" CHECK ("action" in ('brought-in', 'set-aside', 'brought-back', 'signed'));