ALTER TABLE "swatch" ADD COLUMN "recipe" jsonb;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "medium_recipes" jsonb DEFAULT '[]'::jsonb NOT NULL;