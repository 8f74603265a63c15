ALTER TABLE "coaches" ADD COLUMN "writing" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "coaches" ADD COLUMN "is_demo" boolean DEFAULT false NOT NULL;