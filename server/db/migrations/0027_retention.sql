ALTER TABLE "coaches" ADD COLUMN "retention" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "coaches" ADD COLUMN "retention_since" timestamp with time zone;