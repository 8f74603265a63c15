CREATE TABLE "plan_templates" (
	"coach_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"name" text NOT NULL,
	"reason" text NOT NULL,
	"content" jsonb NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "plan_templates_coach_id_id_pk" PRIMARY KEY("coach_id","id")
);
--> statement-breakpoint
ALTER TABLE "plan_templates" ADD CONSTRAINT "plan_templates_coach_id_coaches_id_fk" FOREIGN KEY ("coach_id") REFERENCES "public"."coaches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE TRIGGER "row_changed" AFTER INSERT OR UPDATE OR DELETE ON "plan_templates" FOR EACH ROW EXECUTE FUNCTION "record_row_change"();
