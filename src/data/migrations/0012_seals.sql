CREATE TABLE "seals" (
	"case_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"token" "bytea" NOT NULL,
	CONSTRAINT "seals_pk" PRIMARY KEY("case_id","number")
);
--> statement-breakpoint
ALTER TABLE "trail_entries" DROP CONSTRAINT "trail_entries_action_known";--> statement-breakpoint
ALTER TABLE "seals" ADD CONSTRAINT "seals_case_id_fk" FOREIGN KEY ("case_id") REFERENCES "public"."cases"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trail_entries" ADD CONSTRAINT "trail_entries_action_known" CHECK ("action" in ('opened', 'changed', 'closed', 'reopened', 'archived', 'claim-added', 'claim-changed', 'claims-reordered', 'sample-added', 'sample-changed', 'brought-in', 'set-aside', 'brought-back', 'signed', 'sealed', 'discarded', 'taken-up', 'imported', 'clock-back'));