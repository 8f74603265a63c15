DROP INDEX "blocks_by_client";--> statement-breakpoint
ALTER TABLE "blocks" ADD COLUMN "starts_on" text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX "blocks_by_client" ON "blocks" USING btree ("coach_id","client_id","starts_on");--> statement-breakpoint
CREATE FUNCTION "keep_block_start"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.starts_on := NEW.plan->>'startsOn';
  RETURN NEW;
END $$;--> statement-breakpoint
CREATE TRIGGER "block_start" BEFORE INSERT OR UPDATE ON "blocks" FOR EACH ROW EXECUTE FUNCTION "keep_block_start"();--> statement-breakpoint
ALTER TABLE "blocks" DISABLE TRIGGER "row_changed";--> statement-breakpoint
UPDATE "blocks" SET "starts_on" = "plan"->>'startsOn';--> statement-breakpoint
ALTER TABLE "blocks" ENABLE TRIGGER "row_changed";
