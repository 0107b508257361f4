CREATE TABLE "desk_answers" (
	"study_id" uuid PRIMARY KEY NOT NULL,
	"answers" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "desk_answers" ADD CONSTRAINT "desk_answers_study_id_reading_study_id_fk" FOREIGN KEY ("study_id") REFERENCES "public"."reading"("study_id") ON DELETE cascade ON UPDATE no action;