ALTER TABLE "clients" ADD COLUMN "agreed_starts" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "coaches" ADD COLUMN "house" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
DROP TRIGGER "row_changed" ON "coaches";
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER UPDATE OF "gear", "retention", "stations", "house" ON "coaches" FOR EACH ROW EXECUTE FUNCTION "record_row_change"('gear', 'retention', 'retention_since', 'stations', 'house');
