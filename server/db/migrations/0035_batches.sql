CREATE TABLE "batch_rows" (
	"id" text PRIMARY KEY NOT NULL,
	"case" text NOT NULL,
	"position" integer NOT NULL,
	"cells" jsonb NOT NULL,
	"enquiry" text,
	"file" text,
	"entry" text,
	"is_held" boolean NOT NULL,
	"checked" text,
	"document" jsonb,
	"base" jsonb,
	"gone" text,
	"gone_at" timestamp with time zone,
	"version" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "batches" (
	"case" text PRIMARY KEY NOT NULL,
	"setup" jsonb NOT NULL,
	"version" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sendings" ADD COLUMN "row" text;--> statement-breakpoint
ALTER TABLE "batch_rows" ADD CONSTRAINT "batch_rows_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_rows" ADD CONSTRAINT "batch_rows_enquiry_cases_id_fk" FOREIGN KEY ("enquiry") REFERENCES "public"."cases"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "batch_rows_by_case" ON "batch_rows" USING btree ("case","position");--> statement-breakpoint
ALTER TABLE "sendings" ADD CONSTRAINT "sendings_row_batch_rows_id_fk" FOREIGN KEY ("row") REFERENCES "public"."batch_rows"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "sendings_of_a_row" ON "sendings" USING btree ("row") WHERE "sendings"."state" <> 'taken-back';--> statement-breakpoint
CREATE INDEX "sendings_by_case" ON "sendings" USING btree ("case");