ALTER TABLE "exposures" ADD COLUMN "sets" jsonb;--> statement-breakpoint
ALTER TABLE "exposures" ADD COLUMN "tired" real;