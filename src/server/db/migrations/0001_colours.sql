CREATE TABLE "attempt" (
	"id" uuid PRIMARY KEY NOT NULL,
	"drill" text NOT NULL,
	"study_id" uuid,
	"colour" jsonb NOT NULL,
	"guess" jsonb NOT NULL,
	"family_off" integer,
	"value_off" double precision NOT NULL,
	"intensity_off" integer NOT NULL,
	"score" double precision NOT NULL,
	"made_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "wheel_reading" (
	"study_id" uuid NOT NULL,
	"wheel" text NOT NULL,
	"family" text,
	"key_family" text,
	"harmony" text,
	"study" jsonb NOT NULL,
	CONSTRAINT "wheel_reading_study_id_wheel_pk" PRIMARY KEY("study_id","wheel")
);
--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "neutral" double precision;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "temperature" double precision;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "colours" jsonb;--> statement-breakpoint
ALTER TABLE "attempt" ADD CONSTRAINT "attempt_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wheel_reading" ADD CONSTRAINT "wheel_reading_study_id_reading_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."reading"("study_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "attempt_drill" ON "attempt" USING btree ("drill","made_at");--> statement-breakpoint
CREATE INDEX "wheel_reading_family" ON "wheel_reading" USING btree ("wheel","family");