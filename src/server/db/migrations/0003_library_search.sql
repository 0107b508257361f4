CREATE TABLE "folder" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"place" double precision NOT NULL
);
--> statement-breakpoint
CREATE TABLE "library_revision" (
	"library_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"began_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "library_revision_library_id_revision_pk" PRIMARY KEY("library_id","revision")
);
--> statement-breakpoint
CREATE TABLE "saved_search" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"search" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "swatch" DROP CONSTRAINT "swatch_library_id_library_id_fk";
--> statement-breakpoint
ALTER TABLE "tag" DROP CONSTRAINT "tag_library_id_library_id_fk";
--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "folder_id" uuid;--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "place" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "favourite" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "maker" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "words" "tsvector";--> statement-breakpoint
ALTER TABLE "library" ADD COLUMN "indexed" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "other_names" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "role" text;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "value" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "chroma" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "warmth" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "lab_l" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "lab_a" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "lab_b" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "painters" smallint;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "screen" smallint;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "even" smallint;--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "own_words" "tsvector";--> statement-breakpoint
ALTER TABLE "swatch" ADD COLUMN "words" "tsvector";--> statement-breakpoint
ALTER TABLE "library_revision" ADD CONSTRAINT "library_revision_library_id_library_id_fk" FOREIGN KEY ("library_id") REFERENCES "public"."library"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "library" ADD CONSTRAINT "library_folder_id_folder_id_fk" FOREIGN KEY ("folder_id") REFERENCES "public"."folder"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "swatch" ADD CONSTRAINT "swatch_library_id_library_id_fk" FOREIGN KEY ("library_id") REFERENCES "public"."library"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tag" ADD CONSTRAINT "tag_library_id_library_id_fk" FOREIGN KEY ("library_id") REFERENCES "public"."library"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "library_place" ON "library" USING btree ("folder_id","place");--> statement-breakpoint
CREATE INDEX "library_study" ON "library" USING btree ("study_id");--> statement-breakpoint
CREATE INDEX "library_maker" ON "library" USING btree ("maker");--> statement-breakpoint
CREATE INDEX "library_words" ON "library" USING gin ("words");--> statement-breakpoint
CREATE INDEX "swatch_value" ON "swatch" USING btree ("value");--> statement-breakpoint
CREATE INDEX "swatch_chroma" ON "swatch" USING btree ("chroma");--> statement-breakpoint
CREATE INDEX "swatch_warmth" ON "swatch" USING btree ("warmth");--> statement-breakpoint
CREATE INDEX "swatch_lab_l" ON "swatch" USING btree ("lab_l");--> statement-breakpoint
CREATE INDEX "swatch_painters" ON "swatch" USING btree ("painters");--> statement-breakpoint
CREATE INDEX "swatch_screen" ON "swatch" USING btree ("screen");--> statement-breakpoint
CREATE INDEX "swatch_even" ON "swatch" USING btree ("even");--> statement-breakpoint
CREATE INDEX "swatch_words" ON "swatch" USING gin ("words");