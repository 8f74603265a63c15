CREATE TABLE "goals" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"words" text NOT NULL,
	"measure" jsonb NOT NULL,
	"target" real NOT NULL,
	"since" date NOT NULL,
	"by" date NOT NULL,
	CONSTRAINT "goals_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "notes" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"session_id" uuid,
	"on" date NOT NULL,
	"text" text NOT NULL,
	"written_at" timestamp with time zone NOT NULL,
	CONSTRAINT "notes_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
ALTER TABLE "goals" ADD CONSTRAINT "goals_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "goals_by_client" ON "goals" USING btree ("coach_id","client_id","by");--> statement-breakpoint
CREATE INDEX "notes_by_client" ON "notes" USING btree ("coach_id","client_id","on");--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "notes" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "goals" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
