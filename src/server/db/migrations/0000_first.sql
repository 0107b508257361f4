CREATE TABLE "library" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"name" text NOT NULL,
	"note" text NOT NULL,
	"revision" integer NOT NULL,
	"study_id" uuid,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "picture" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"hash" text NOT NULL,
	"name" text NOT NULL,
	"type" text NOT NULL,
	"size" integer NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"working_width" integer NOT NULL,
	"working_height" integer NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "picture_bytes" (
	"picture_id" uuid PRIMARY KEY NOT NULL,
	"original" "bytea" NOT NULL,
	"working" "bytea" NOT NULL,
	"thumbnail" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"study_id" uuid PRIMARY KEY NOT NULL,
	"core" integer NOT NULL,
	"of" text NOT NULL,
	"key" text NOT NULL,
	"range" text NOT NULL,
	"median" double precision NOT NULL,
	"values" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "setting" (
	"id" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "study" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"picture_id" uuid NOT NULL,
	"title" text NOT NULL,
	"document" jsonb NOT NULL,
	"revision" integer NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "study_revision" (
	"study_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"document" jsonb NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "study_revision_study_id_revision_pk" PRIMARY KEY("study_id","revision")
);
--> statement-breakpoint
CREATE TABLE "swatch" (
	"library_id" uuid NOT NULL,
	"id" text NOT NULL,
	"position" integer NOT NULL,
	"name" text NOT NULL,
	"note" text NOT NULL,
	"l" double precision NOT NULL,
	"a" double precision NOT NULL,
	"b" double precision NOT NULL,
	"share" double precision,
	"provenance" jsonb,
	CONSTRAINT "swatch_library_id_id_pk" PRIMARY KEY("library_id","id")
);
--> statement-breakpoint
CREATE TABLE "tag" (
	"library_id" uuid NOT NULL,
	"name" text NOT NULL,
	"position" integer NOT NULL,
	CONSTRAINT "tag_library_id_name_pk" PRIMARY KEY("library_id","name")
);
--> statement-breakpoint
ALTER TABLE "library" ADD CONSTRAINT "library_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "picture_bytes" ADD CONSTRAINT "picture_bytes_picture_id_picture_id_fk" FOREIGN KEY ("picture_id") REFERENCES "public"."picture"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "study" ADD CONSTRAINT "study_picture_id_picture_id_fk" FOREIGN KEY ("picture_id") REFERENCES "public"."picture"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "study_revision" ADD CONSTRAINT "study_revision_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatch" ADD CONSTRAINT "swatch_library_id_library_id_fk" FOREIGN KEY ("library_id") REFERENCES "public"."library"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tag" ADD CONSTRAINT "tag_library_id_library_id_fk" FOREIGN KEY ("library_id") REFERENCES "public"."library"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "library_updated" ON "library" USING btree ("updated_at");--> statement-breakpoint
CREATE UNIQUE INDEX "picture_hash" ON "picture" USING btree ("hash");--> statement-breakpoint
CREATE INDEX "study_created" ON "study" USING btree ("created_at");--> statement-breakpoint
CREATE INDEX "study_picture" ON "study" USING btree ("picture_id");--> statement-breakpoint
CREATE INDEX "tag_name" ON "tag" USING btree ("name");--> statement-breakpoint
-- Pictures are compressed already; letting the server try again only costs time.
ALTER TABLE "picture_bytes" ALTER COLUMN "original" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "picture_bytes" ALTER COLUMN "working" SET STORAGE EXTERNAL;--> statement-breakpoint
ALTER TABLE "picture_bytes" ALTER COLUMN "thumbnail" SET STORAGE EXTERNAL;
