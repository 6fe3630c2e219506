ALTER TABLE "cases" DROP CONSTRAINT "cases_state_known";--> statement-breakpoint
ALTER TABLE "trail_entries" DROP CONSTRAINT "trail_entries_action_known";--> statement-breakpoint
DROP INDEX "trail_entries_case_id_idx";--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "people" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "notes" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "opened_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "due_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "closed_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "trail_length" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cases" ADD COLUMN "trail_hash" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "number" integer;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "before" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "after" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "previous" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD COLUMN "hash" text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX "cases_state_idx" ON "cases" USING btree ("state");--> statement-breakpoint
CREATE INDEX "cases_created_at_idx" ON "cases" USING btree ("created_at");--> statement-breakpoint
CREATE INDEX "cases_reference_idx" ON "cases" USING btree (lower("reference"));--> statement-breakpoint
CREATE INDEX "cases_subject_idx" ON "cases" USING btree (lower("subject"));--> statement-breakpoint
CREATE INDEX "cases_party_idx" ON "cases" USING btree (lower("party"));--> statement-breakpoint
CREATE INDEX "claims_outcome_idx" ON "claims" USING btree ("outcome");--> statement-breakpoint
CREATE INDEX "trail_entries_unchained_idx" ON "trail_entries" USING btree ("id") WHERE "number" is null;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_case_id_number_unique" UNIQUE("case_id","number");--> statement-breakpoint
ALTER TABLE "cases" ADD CONSTRAINT "cases_state_known" CHECK ("state" in ('open', 'closed', 'archived'));--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_action_known" CHECK ("action" in ('opened', 'changed', 'closed', 'reopened', 'archived', 'claim-added', 'claim-changed', 'claims-reordered', 'sample-added', 'sample-changed', 'brought-in', 'set-aside', 'brought-back', 'signed', 'imported'));