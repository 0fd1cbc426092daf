CREATE TABLE "case_files" (
	"id" text PRIMARY KEY NOT NULL,
	"case" text NOT NULL,
	"hash" text NOT NULL,
	"name" text NOT NULL,
	"added_by" text NOT NULL,
	"added_at" timestamp with time zone NOT NULL,
	"deletion" text
);
--> statement-breakpoint
CREATE TABLE "file_contents" (
	"hash" text PRIMARY KEY NOT NULL,
	"bytes" bigint NOT NULL,
	"media" text NOT NULL,
	"since" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "file_pieces" (
	"content" text NOT NULL,
	"at" integer NOT NULL,
	"bytes" "bytea" NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "file_pieces_content_at_pk" PRIMARY KEY("content","at")
);
--> statement-breakpoint
ALTER TABLE "case_files" ADD CONSTRAINT "case_files_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_files" ADD CONSTRAINT "case_files_hash_file_contents_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."file_contents"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_files" ADD CONSTRAINT "case_files_added_by_members_id_fk" FOREIGN KEY ("added_by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "case_files" ADD CONSTRAINT "case_files_deletion_deletions_id_fk" FOREIGN KEY ("deletion") REFERENCES "public"."deletions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "files_of_a_case" ON "case_files" USING btree ("case");--> statement-breakpoint
CREATE INDEX "files_by_hash" ON "case_files" USING btree ("hash");