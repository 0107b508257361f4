CREATE TABLE "shelf" (
	"id" uuid PRIMARY KEY NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "shelf_revision" (
	"shelf_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"began_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "shelf_revision_shelf_id_revision_pk" PRIMARY KEY("shelf_id","revision")
);
--> statement-breakpoint
ALTER TABLE "shelf_revision" ADD CONSTRAINT "shelf_revision_shelf_id_shelf_id_fk" FOREIGN KEY ("shelf_id") REFERENCES "public"."shelf"("id") ON DELETE cascade ON UPDATE no action;