-- Every question names the coach. Numbers of rows by coach make the planner believe that a coach who came after they were
-- taken has none, and walk through all of hers once a row; without them it expects an even share and uses the whole key.
ALTER TABLE "logged_sets" ALTER COLUMN "coach_id" SET STATISTICS 0;--> statement-breakpoint
ALTER TABLE "dated_sessions" ALTER COLUMN "coach_id" SET STATISTICS 0;--> statement-breakpoint
ALTER TABLE "log_entries" ALTER COLUMN "coach_id" SET STATISTICS 0;--> statement-breakpoint
ALTER TABLE "exposures" ALTER COLUMN "coach_id" SET STATISTICS 0;
