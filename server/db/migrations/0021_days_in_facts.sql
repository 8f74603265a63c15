ALTER TABLE "clients" DISABLE TRIGGER "row_changed";--> statement-breakpoint
UPDATE "clients" SET "facts" = "facts" || jsonb_build_object('days', "profile"->'days') WHERE jsonb_array_length("profile"->'days') > 0;--> statement-breakpoint
ALTER TABLE "clients" ENABLE TRIGGER "row_changed";
