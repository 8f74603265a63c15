CREATE TABLE "changes" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"seq" bigserial NOT NULL,
	"client_id" uuid,
	"kind" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"undone_at" timestamp with time zone,
	"is_past" boolean DEFAULT false NOT NULL,
	CONSTRAINT "changes_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "row_changes" (
	"coach_id" uuid NOT NULL,
	"change_id" uuid NOT NULL,
	"seq" bigserial NOT NULL,
	"in_table" text NOT NULL,
	"before" jsonb,
	"after" jsonb,
	CONSTRAINT "row_changes_coach_id_seq_pk" PRIMARY KEY("coach_id","seq")
);
--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "changes" ADD CONSTRAINT "changes_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "row_changes" ADD CONSTRAINT "row_changes_coach_id_change_id_changes_coach_id_id_fk" FOREIGN KEY ("coach_id","change_id") REFERENCES "public"."changes"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "changes_by_client" ON "changes" USING btree ("coach_id","client_id","seq");--> statement-breakpoint
CREATE INDEX "row_changes_by_change" ON "row_changes" USING btree ("coach_id","change_id","seq");--> statement-breakpoint
CREATE FUNCTION "record_row_change"() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
	"change" uuid := nullif(current_setting('tholepin.change', true), '')::uuid;
	"was" jsonb := CASE WHEN TG_OP = 'INSERT' THEN NULL ELSE to_jsonb(OLD) END;
	"is" jsonb := CASE WHEN TG_OP = 'DELETE' THEN NULL ELSE to_jsonb(NEW) END;
	"coach" uuid;
BEGIN
	IF "change" IS NULL OR "was" IS NOT DISTINCT FROM "is" THEN
		RETURN NULL;
	END IF;
	"coach" := coalesce("is" ->> 'coach_id', "was" ->> 'coach_id', "is" ->> 'id');
	-- Plans are kept as revisions already: their version says which. Of a coach nothing but the gear is of this kind.
	IF TG_TABLE_NAME = 'blocks' AND TG_OP = 'UPDATE' THEN
		"was" := "was" - 'plan';
		"is" := "is" - 'plan';
	ELSIF TG_TABLE_NAME = 'coaches' THEN
		"was" := jsonb_build_object('id', "was" -> 'id', 'gear', "was" -> 'gear');
		"is" := jsonb_build_object('id', "is" -> 'id', 'gear', "is" -> 'gear');
	END IF;
	INSERT INTO "row_changes" ("coach_id", "change_id", "in_table", "before", "after")
	VALUES ("coach", "change", TG_TABLE_NAME, "was", "is");
	RETURN NULL;
END;
$$;
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER UPDATE OF "gear" ON "coaches" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "clients" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "blocks" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "dated_sessions" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "logged_sets" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "exposures" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "log_entries" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "messages" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "pain_reports" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "clearances" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "measurements" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "decisions" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "own_exercises" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "credit_changes" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "methods" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "session_templates" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
