CREATE TABLE "jobs" (
	"id" text PRIMARY KEY NOT NULL,
	"member" text NOT NULL,
	"work" text NOT NULL,
	"asked" jsonb,
	"state" text NOT NULL,
	"progress" real DEFAULT 0 NOT NULL,
	"result" jsonb,
	"stamp" text DEFAULT '' NOT NULL,
	"seen" boolean DEFAULT false NOT NULL,
	"begun_at" timestamp with time zone NOT NULL,
	"beat_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "one_job_of_a_work" ON "jobs" USING btree ("member","work") WHERE state = 'working';--> statement-breakpoint
CREATE INDEX "jobs_of_a_member" ON "jobs" USING btree ("member","work","begun_at");