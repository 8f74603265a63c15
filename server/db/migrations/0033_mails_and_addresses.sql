CREATE TABLE "mails" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"to" text NOT NULL,
	"state" text NOT NULL,
	"attempts" integer DEFAULT 0 NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"said" text DEFAULT '' NOT NULL,
	CONSTRAINT "mails_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "shown_links" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"block_id" uuid,
	"pass" integer,
	"with_health" boolean NOT NULL,
	"token_hash" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone,
	"seen_at" timestamp with time zone,
	CONSTRAINT "shown_links_coach_id_id_pk" PRIMARY KEY("coach_id","id"),
	CONSTRAINT "shown_links_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
ALTER TABLE "mails" ADD CONSTRAINT "mails_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shown_links" ADD CONSTRAINT "shown_links_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "mails_by_state" ON "mails" USING btree ("state","at");--> statement-breakpoint
CREATE INDEX "shown_links_by_client" ON "shown_links" USING btree ("coach_id","client_id");--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "shown_links" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
