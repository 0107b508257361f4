CREATE TABLE "drill_answer" (
	"id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp (3) with time zone NOT NULL,
	"kind" text NOT NULL,
	"colour" jsonb NOT NULL,
	"difficulty" double precision NOT NULL,
	"outcome" jsonb NOT NULL
);
--> statement-breakpoint
CREATE INDEX "drill_answer_at" ON "drill_answer" USING btree ("at");