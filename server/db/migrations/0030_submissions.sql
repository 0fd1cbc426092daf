CREATE TABLE "assigned" (
	"case" text PRIMARY KEY NOT NULL,
	"assignment" text NOT NULL,
	"person" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "assignments" (
	"id" text PRIMARY KEY NOT NULL,
	"work" jsonb NOT NULL,
	"version" integer NOT NULL,
	"made_by" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "assignments_given" (
	"assignment" text NOT NULL,
	"member" text NOT NULL,
	CONSTRAINT "assignments_given_assignment_member_pk" PRIMARY KEY("assignment","member")
);
--> statement-breakpoint
CREATE TABLE "submissions" (
	"case" text PRIMARY KEY NOT NULL,
	"submission" jsonb NOT NULL,
	"name" text NOT NULL,
	"file" text,
	"words" integer NOT NULL,
	"version" integer NOT NULL,
	"taken_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "assigned" ADD CONSTRAINT "assigned_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assigned" ADD CONSTRAINT "assigned_assignment_assignments_id_fk" FOREIGN KEY ("assignment") REFERENCES "public"."assignments"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignments" ADD CONSTRAINT "assignments_made_by_members_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignments_given" ADD CONSTRAINT "assignments_given_assignment_assignments_id_fk" FOREIGN KEY ("assignment") REFERENCES "public"."assignments"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "assignments_given" ADD CONSTRAINT "assignments_given_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "submissions" ADD CONSTRAINT "submissions_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "assigned_by_assignment" ON "assigned" USING btree ("assignment");