CREATE TABLE "tray_lines" (
	"id" text PRIMARY KEY NOT NULL,
	"case" text NOT NULL,
	"position" integer NOT NULL,
	"folder" text NOT NULL,
	"name" text NOT NULL,
	"bytes" bigint NOT NULL,
	"changed" timestamp with time zone NOT NULL,
	"file" text,
	"document" jsonb,
	"words" text NOT NULL,
	"said" jsonb NOT NULL,
	"new_name" text,
	"named_at" timestamp with time zone,
	"renamed" text,
	"renamed_at" timestamp with time zone,
	"version" integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE "trays" (
	"case" text PRIMARY KEY NOT NULL,
	"setup" jsonb NOT NULL,
	"version" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "tray_lines" ADD CONSTRAINT "tray_lines_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "trays" ADD CONSTRAINT "trays_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "tray_lines_by_case" ON "tray_lines" USING btree ("case","position");