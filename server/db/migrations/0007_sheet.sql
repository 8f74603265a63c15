CREATE TABLE "client_links" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"pin_hash" text,
	"created_at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "client_links_coach_id_id_pk" PRIMARY KEY("coach_id","id"),
	CONSTRAINT "client_links_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "log_entries" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"seq" bigserial NOT NULL,
	"author" text NOT NULL,
	"device_id" uuid,
	"at" timestamp with time zone NOT NULL,
	"clock_off_seconds" integer DEFAULT 0 NOT NULL,
	"received_at" timestamp with time zone NOT NULL,
	"word" jsonb NOT NULL,
	"outcome" text NOT NULL,
	CONSTRAINT "log_entries_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "messages" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"text" text NOT NULL,
	"written_at" timestamp with time zone NOT NULL,
	CONSTRAINT "messages_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "sheet_devices" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"link_id" uuid NOT NULL,
	"key_hash" text NOT NULL,
	"opened_at" timestamp with time zone NOT NULL,
	"last_seen_at" timestamp with time zone NOT NULL,
	CONSTRAINT "sheet_devices_coach_id_id_pk" PRIMARY KEY("coach_id","id"),
	CONSTRAINT "sheet_devices_key_hash_unique" UNIQUE("key_hash")
);
--> statement-breakpoint
ALTER TABLE "dated_sessions" ADD COLUMN "started_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD COLUMN "side" text;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD COLUMN "seconds" real;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD COLUMN "is_rir_open" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD COLUMN "unit" text DEFAULT 'kg' NOT NULL;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD COLUMN "entry_id" uuid;--> statement-breakpoint
ALTER TABLE "client_links" ADD CONSTRAINT "client_links_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "log_entries" ADD CONSTRAINT "log_entries_coach_id_session_id_dated_sessions_coach_id_id_fk" FOREIGN KEY ("coach_id","session_id") REFERENCES "public"."dated_sessions"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "messages" ADD CONSTRAINT "messages_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheet_devices" ADD CONSTRAINT "sheet_devices_coach_id_link_id_client_links_coach_id_id_fk" FOREIGN KEY ("coach_id","link_id") REFERENCES "public"."client_links"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "client_links_by_client" ON "client_links" USING btree ("coach_id","client_id");--> statement-breakpoint
CREATE INDEX "log_entries_by_session" ON "log_entries" USING btree ("coach_id","session_id","seq");--> statement-breakpoint
CREATE INDEX "messages_by_client" ON "messages" USING btree ("coach_id","client_id","written_at");--> statement-breakpoint
CREATE INDEX "sheet_devices_by_link" ON "sheet_devices" USING btree ("coach_id","link_id");--> statement-breakpoint
ALTER TABLE "logged_sets" ADD CONSTRAINT "logged_sets_by_place" UNIQUE NULLS NOT DISTINCT("coach_id","session_id","slot","exercise","role","set","stage","side");