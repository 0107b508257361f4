ALTER TABLE "library" ADD COLUMN "sets" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "target" jsonb DEFAULT '{"main":0.6,"second":0.3,"accent":0.1}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "follows" jsonb;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "change" jsonb;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "parts" jsonb DEFAULT '[]'::jsonb NOT NULL;