CREATE TABLE "enquiries" (
	"case" text PRIMARY KEY NOT NULL,
	"from_name" text NOT NULL,
	"from_address" text NOT NULL,
	"excerpt" text NOT NULL,
	"language" text,
	"since" timestamp with time zone NOT NULL,
	"state" text NOT NULL,
	"taken_by" text,
	"put_off_to" date,
	"joined_to" text,
	"changed_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "enquiry_notes" (
	"id" text PRIMARY KEY NOT NULL,
	"case" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "messages" (
	"id" text NOT NULL,
	"case" text NOT NULL,
	"came_at" timestamp with time zone NOT NULL,
	CONSTRAINT "messages_id_pk" PRIMARY KEY("id")
);
--> statement-breakpoint
ALTER TABLE "case_files" ALTER COLUMN "added_by" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "enquiries" ADD CONSTRAINT "enquiries_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquiries" ADD CONSTRAINT "enquiries_taken_by_members_id_fk" FOREIGN KEY ("taken_by") REFERENCES "public"."members"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquiries" ADD CONSTRAINT "enquiries_joined_to_cases_id_fk" FOREIGN KEY ("joined_to") REFERENCES "public"."cases"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquiry_notes" ADD CONSTRAINT "enquiry_notes_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "enquiry_notes" ADD CONSTRAINT "enquiry_notes_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "messages" ADD CONSTRAINT "messages_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "enquiries_by_state" ON "enquiries" USING btree ("state","since");--> statement-breakpoint
CREATE INDEX "notes_of_an_enquiry" ON "enquiry_notes" USING btree ("case","at");--> statement-breakpoint
CREATE INDEX "messages_of_a_case" ON "messages" USING btree ("case");