CREATE TABLE "courses" (
	"id" uuid PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "courses_revision" (
	"courses_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"began_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "courses_revision_courses_id_revision_pk" PRIMARY KEY("courses_id","revision")
);
--> statement-breakpoint
ALTER TABLE "courses_revision" ADD CONSTRAINT "courses_revision_courses_id_courses_id_fk" FOREIGN KEY ("courses_id") REFERENCES "public"."courses"("id") ON DELETE cascade ON UPDATE no action;