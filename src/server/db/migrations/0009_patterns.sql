CREATE TABLE "pattern" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "pattern_drawing" (
	"pattern_id" uuid NOT NULL,
	"hash" text NOT NULL,
	"svg" text NOT NULL,
	"original" text,
	"facts" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "pattern_drawing_pattern_id_hash_pk" PRIMARY KEY("pattern_id","hash")
);
--> statement-breakpoint
CREATE TABLE "pattern_revision" (
	"pattern_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"began_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "pattern_revision_pattern_id_revision_pk" PRIMARY KEY("pattern_id","revision")
);
--> statement-breakpoint
ALTER TABLE "pattern_drawing" ADD CONSTRAINT "pattern_drawing_pattern_id_pattern_id_fk" FOREIGN KEY ("pattern_id") REFERENCES "public"."pattern"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pattern_revision" ADD CONSTRAINT "pattern_revision_pattern_id_pattern_id_fk" FOREIGN KEY ("pattern_id") REFERENCES "public"."pattern"("id") ON DELETE cascade ON UPDATE no action;