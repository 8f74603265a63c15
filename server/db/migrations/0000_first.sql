CREATE TABLE "block_revisions" (
	"coach_id" uuid NOT NULL,
	"block_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "block_revisions_coach_id_block_id_version_pk" PRIMARY KEY("coach_id","block_id","version")
);
--> statement-breakpoint
CREATE TABLE "blocks" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"client_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"plan" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "blocks_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "clients" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"about" text NOT NULL,
	"position" integer NOT NULL,
	"facts" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "clients_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
CREATE TABLE "coaches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"email" text NOT NULL,
	"name" text NOT NULL,
	"studio" text NOT NULL,
	"password_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "coaches_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "sign_ins" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	CONSTRAINT "sign_ins_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
ALTER TABLE "block_revisions" ADD CONSTRAINT "block_revisions_coach_id_block_id_blocks_coach_id_id_fk" FOREIGN KEY ("coach_id","block_id") REFERENCES "public"."blocks"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "blocks" ADD CONSTRAINT "blocks_coach_id_client_id_clients_coach_id_id_fk" FOREIGN KEY ("coach_id","client_id") REFERENCES "public"."clients"("coach_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "clients" ADD CONSTRAINT "clients_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sign_ins" ADD CONSTRAINT "sign_ins_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "blocks_by_client" ON "blocks" USING btree ("coach_id","client_id");--> statement-breakpoint
CREATE INDEX "sign_ins_by_expiry" ON "sign_ins" USING btree ("coach_id","expires_at");