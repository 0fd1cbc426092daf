CREATE TABLE "draft_files" (
	"draft" text NOT NULL,
	"hash" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "draft_files_draft_hash_pk" PRIMARY KEY("draft","hash")
);
--> statement-breakpoint
CREATE TABLE "entry_files" (
	"entry" text NOT NULL,
	"hash" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "entry_files_entry_hash_pk" PRIMARY KEY("entry","hash")
);
--> statement-breakpoint
CREATE TABLE "waiting_files" (
	"hash" text NOT NULL,
	"member" text NOT NULL,
	"since" timestamp with time zone NOT NULL,
	CONSTRAINT "waiting_files_hash_member_pk" PRIMARY KEY("hash","member")
);
--> statement-breakpoint
ALTER TABLE "draft_files" ADD CONSTRAINT "draft_files_draft_drafts_id_fk" FOREIGN KEY ("draft") REFERENCES "public"."drafts"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "draft_files" ADD CONSTRAINT "draft_files_hash_file_contents_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."file_contents"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_files" ADD CONSTRAINT "entry_files_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_files" ADD CONSTRAINT "entry_files_hash_file_contents_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."file_contents"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "waiting_files" ADD CONSTRAINT "waiting_files_hash_file_contents_hash_fk" FOREIGN KEY ("hash") REFERENCES "public"."file_contents"("hash") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "waiting_files" ADD CONSTRAINT "waiting_files_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "draft_files_by_hash" ON "draft_files" USING btree ("hash");--> statement-breakpoint
CREATE INDEX "entry_files_by_hash" ON "entry_files" USING btree ("hash");