ALTER TABLE "clients" ADD COLUMN "method" text NOT NULL DEFAULT 'steady-middle';--> statement-breakpoint
ALTER TABLE "clients" ALTER COLUMN "method" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "clients" ADD COLUMN "profile" jsonb;--> statement-breakpoint
-- Clients from before have what was known of them; the rest is as for anybody who has not been asked yet.
UPDATE "clients" SET "profile" = jsonb_build_object(
	'name', "name", 'about', "about", 'units', 'kg', 'goal', '', 'weakPoints', '', 'trainingAgeMonths', "facts"->'trainingAgeMonths',
	'method', "method", 'modes', "facts"->'modes', 'days', '[{"weekday": 1, "minutes": 60, "start": "17:30"}]'::jsonb, 'equipment', "facts"->'equipment',
	'sensitiveJoints', '[]'::jsonb, 'jointNotes', '[]'::jsonb, 'slowedBy', '[]'::jsonb, 'sideLoads', '[]'::jsonb, 'hasSafeties', false,
	'screening', '{"answers": {}, "clearance": null}'::jsonb
);--> statement-breakpoint
ALTER TABLE "clients" ALTER COLUMN "profile" SET NOT NULL;
