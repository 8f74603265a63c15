-- Whatever writes to a client's sessions or exposures, the client's training revision grows.
CREATE FUNCTION "bump_training_revision"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	IF TG_OP = 'DELETE' THEN
		UPDATE "clients" SET "training_revision" = "training_revision" + 1 WHERE ("coach_id", "id") IN (SELECT "coach_id", "client_id" FROM "gone");
	ELSE
		UPDATE "clients" SET "training_revision" = "training_revision" + 1 WHERE ("coach_id", "id") IN (SELECT "coach_id", "client_id" FROM "come");
	END IF;
	RETURN NULL;
END $$;
--> statement-breakpoint
CREATE TRIGGER "sessions_inserted" AFTER INSERT ON "dated_sessions" REFERENCING NEW TABLE AS "come" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
--> statement-breakpoint
CREATE TRIGGER "sessions_updated" AFTER UPDATE ON "dated_sessions" REFERENCING NEW TABLE AS "come" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
--> statement-breakpoint
CREATE TRIGGER "sessions_deleted" AFTER DELETE ON "dated_sessions" REFERENCING OLD TABLE AS "gone" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
--> statement-breakpoint
CREATE TRIGGER "exposures_inserted" AFTER INSERT ON "exposures" REFERENCING NEW TABLE AS "come" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
--> statement-breakpoint
CREATE TRIGGER "exposures_updated" AFTER UPDATE ON "exposures" REFERENCING NEW TABLE AS "come" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
--> statement-breakpoint
CREATE TRIGGER "exposures_deleted" AFTER DELETE ON "exposures" REFERENCING OLD TABLE AS "gone" FOR EACH STATEMENT EXECUTE FUNCTION "bump_training_revision"();
