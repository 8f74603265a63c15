ALTER TABLE "coaches" ADD COLUMN "stations" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
-- Which columns of a coach are recorded is said by the trigger.
CREATE OR REPLACE FUNCTION "record_row_change"() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
	"change" uuid := nullif(current_setting('tholepin.change', true), '')::uuid;
	"was" jsonb := CASE WHEN TG_OP = 'INSERT' THEN NULL ELSE to_jsonb(OLD) END;
	"is" jsonb := CASE WHEN TG_OP = 'DELETE' THEN NULL ELSE to_jsonb(NEW) END;
	"coach" uuid;
	"whole" text := TG_TABLE_NAME;
	"key" text;
	"old" jsonb;
	"new" jsonb;
BEGIN
	IF "change" IS NULL OR "was" IS NOT DISTINCT FROM "is" THEN
		RETURN NULL;
	END IF;
	SELECT "parent"."relname" INTO "whole" FROM "pg_inherits" JOIN "pg_class" "parent" ON "parent"."oid" = "inhparent" WHERE "inhrelid" = TG_RELID;
	"whole" := coalesce("whole", TG_TABLE_NAME);
	"coach" := coalesce("is" ->> 'coach_id', "was" ->> 'coach_id', "is" ->> 'id');
	-- Plans are kept as revisions already: their version says which. Of a coach only what the studio has set is of this kind.
	IF "whole" = 'blocks' AND TG_OP = 'UPDATE' THEN
		"was" := "was" - 'plan';
		"is" := "is" - 'plan';
	ELSIF TG_NARGS > 0 THEN
		"old" := jsonb_build_object('id', "was" -> 'id');
		"new" := jsonb_build_object('id', "is" -> 'id');
		FOREACH "key" IN ARRAY TG_ARGV LOOP
			IF "was" -> "key" IS DISTINCT FROM "is" -> "key" THEN
				"old" := "old" || jsonb_build_object("key", "was" -> "key");
				"new" := "new" || jsonb_build_object("key", "is" -> "key");
			END IF;
		END LOOP;
		"was" := "old";
		"is" := "new";
	END IF;
	INSERT INTO "row_changes" ("coach_id", "change_id", "in_table", "before", "after")
	VALUES ("coach", "change", "whole", "was", "is");
	RETURN NULL;
END;
$$;
--> statement-breakpoint
DROP TRIGGER "row_changed" ON "coaches";
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER UPDATE OF "gear", "retention", "stations" ON "coaches" FOR EACH ROW EXECUTE FUNCTION "record_row_change"('gear', 'retention', 'retention_since', 'stations');
