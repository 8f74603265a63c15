CREATE TABLE "decisions" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"block_id" uuid NOT NULL,
	"pass" integer NOT NULL,
	"key" text NOT NULL,
	"proposal" jsonb NOT NULL,
	"decision" text NOT NULL,
	"reason" text DEFAULT '' NOT NULL,
	"version" integer,
	"decided_by" text NOT NULL,
	"decided_at" timestamp with time zone NOT NULL,
	CONSTRAINT "decisions_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
ALTER TABLE "decisions" ADD CONSTRAINT "decisions_coach_id_block_id_blocks_coach_id_id_fk" FOREIGN KEY ("coach_id","block_id") REFERENCES "public"."blocks"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "decisions_by_block" ON "decisions" USING btree ("coach_id","block_id","decided_at");