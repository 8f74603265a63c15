ALTER TABLE "plan_templates" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "plan_templates" ADD COLUMN "earlier" jsonb DEFAULT '[]'::jsonb NOT NULL;