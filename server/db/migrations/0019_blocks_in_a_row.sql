DROP INDEX "one_open_block";--> statement-breakpoint
DROP INDEX "blocks_by_client";--> statement-breakpoint
CREATE INDEX "blocks_by_client" ON "blocks" USING btree ("coach_id","client_id",(plan->>'startsOn'));