CREATE TABLE "session" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"study_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"updated_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"deleted_at" timestamp (3) with time zone
);
--> statement-breakpoint
CREATE TABLE "session_revision" (
	"session_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"began_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	"saved_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "session_revision_session_id_revision_pk" PRIMARY KEY("session_id","revision")
);
--> statement-breakpoint
CREATE TABLE "session_snapshot" (
	"session_id" uuid NOT NULL,
	"id" text NOT NULL,
	"picture_id" uuid NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT clock_timestamp() NOT NULL,
	CONSTRAINT "session_snapshot_session_id_id_pk" PRIMARY KEY("session_id","id")
);
--> statement-breakpoint
ALTER TABLE "session" ADD CONSTRAINT "session_study_id_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."study"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_revision" ADD CONSTRAINT "session_revision_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_snapshot" ADD CONSTRAINT "session_snapshot_session_id_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "session_snapshot" ADD CONSTRAINT "session_snapshot_picture_id_picture_id_fk" FOREIGN KEY ("picture_id") REFERENCES "public"."picture"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "session_study" ON "session" USING btree ("study_id");