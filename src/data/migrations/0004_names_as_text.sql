ALTER TABLE "claims" DROP CONSTRAINT "claims_parameter_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_relation_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_method_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_interval_method_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_interval_sides_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_two_sided_rule_known";--> statement-breakpoint
ALTER TABLE "claims" DROP CONSTRAINT "claims_burden_known";