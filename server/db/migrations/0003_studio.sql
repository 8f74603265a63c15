CREATE TABLE "clearances" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"joint" text NOT NULL,
	"on" date NOT NULL,
	"profession" text NOT NULL,
	"limits" text NOT NULL,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "clearances_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "measurements" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"on" date NOT NULL,
	"kind" text NOT NULL,
	"value" real NOT NULL,
	CONSTRAINT "measurements_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "pain_reports" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"joint" text NOT NULL,
	"side" text NOT NULL,
	"score" integer NOT NULL,
	"next_morning" integer,
	"has_alarm_sign" boolean DEFAULT false NOT NULL,
	"reported_at" timestamp with time zone NOT NULL,
	CONSTRAINT "pain_reports_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "credit_changes" (
	"coach_id" uuid NOT NULL,
	"key" text NOT NULL,
	"credits" jsonb NOT NULL,
	CONSTRAINT "credit_changes_coach_id_key_pk" PRIMARY KEY("coach_id","key")
);
--> statement-breakpoint
CREATE TABLE "dated_sessions" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"block_id" uuid NOT NULL,
	"pass" integer NOT NULL,
	"day" integer NOT NULL,
	"place" integer NOT NULL,
	"on" date NOT NULL,
	"name" text NOT NULL,
	"arm_sets" integer NOT NULL,
	"sets_planned" integer NOT NULL,
	"prescribed" jsonb NOT NULL,
	"sent_at" timestamp with time zone,
	"opened_at" timestamp with time zone,
	"finished_at" timestamp with time zone,
	"minutes" integer,
	"is_recovered" boolean,
	"note" text DEFAULT '' NOT NULL,
	"missed_decision" text,
	CONSTRAINT "dated_sessions_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "exposures" (
	"coach_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"exercise" text NOT NULL,
	"on" date NOT NULL,
	"value" real NOT NULL,
	"reps_to_failure" real NOT NULL,
	CONSTRAINT "exposures_coach_id_session_id_exercise_pk" PRIMARY KEY("coach_id","session_id","exercise")
);
--> statement-breakpoint
CREATE TABLE "logged_sets" (
	"coach_id" uuid NOT NULL,
	"session_id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"at" integer NOT NULL,
	"slot" text,
	"exercise" text NOT NULL,
	"intent" text,
	"set" integer NOT NULL,
	"stage" integer NOT NULL,
	"role" text NOT NULL,
	"load_kg" real,
	"reps" real,
	"rir" real,
	CONSTRAINT "logged_sets_coach_id_session_id_at_pk" PRIMARY KEY("coach_id","session_id","at")
);
--> statement-breakpoint
CREATE TABLE "methods" (
	"coach_id" uuid NOT NULL,
	"id" text NOT NULL,
	"based_on" text NOT NULL,
	"method" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "methods_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "own_exercises" (
	"coach_id" uuid NOT NULL,
	"id" text NOT NULL,
	"exercise" jsonb NOT NULL,
	"retired_at" timestamp with time zone,
	CONSTRAINT "own_exercises_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
ALTER TABLE "blocks" ADD COLUMN "closed_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "training_revision" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "is_flagged" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "later_until" date;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "archived_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "clearances" ADD CONSTRAINT "clearances_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "measurements" ADD CONSTRAINT "measurements_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pain_reports" ADD CONSTRAINT "pain_reports_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "credit_changes" ADD CONSTRAINT "credit_changes_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "dated_sessions" ADD CONSTRAINT "dated_sessions_coach_id_block_id_blocks_coach_id_id_fk" FOREIGN KEY ("coach_id","block_id") REFERENCES "public"."blocks"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "exposures" ADD CONSTRAINT "exposures_coach_id_session_id_dated_sessions_coach_id_id_fk" FOREIGN KEY ("coach_id","session_id") REFERENCES "public"."dated_sessions"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "logged_sets" ADD CONSTRAINT "logged_sets_coach_id_session_id_dated_sessions_coach_id_id_fk" FOREIGN KEY ("coach_id","session_id") REFERENCES "public"."dated_sessions"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "methods" ADD CONSTRAINT "methods_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_exercises" ADD CONSTRAINT "own_exercises_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "clearances_by_client" ON "clearances" USING btree ("coach_id","client_id");--> statement-breakpoint
CREATE INDEX "measurements_by_client" ON "measurements" USING btree ("coach_id","client_id","on");--> statement-breakpoint
CREATE INDEX "pain_reports_by_client" ON "pain_reports" USING btree ("coach_id","client_id","reported_at");--> statement-breakpoint
CREATE INDEX "dated_sessions_by_date" ON "dated_sessions" USING btree ("coach_id","on");--> statement-breakpoint
CREATE INDEX "dated_sessions_by_client" ON "dated_sessions" USING btree ("coach_id","client_id","on");--> statement-breakpoint
CREATE INDEX "exposures_by_client" ON "exposures" USING btree ("coach_id","client_id","on");--> statement-breakpoint
CREATE UNIQUE INDEX "one_open_block" ON "blocks" USING btree ("coach_id","client_id") WHERE closed_at is null;