CREATE TABLE "import_entries" (
	"import" text NOT NULL,
	"entry" text NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb,
	CONSTRAINT "import_entries_import_entry_pk" PRIMARY KEY("import","entry")
);
--> statement-breakpoint
CREATE TABLE "imports" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"state" text NOT NULL,
	"places" jsonb NOT NULL,
	"collection" text NOT NULL,
	"collections_made" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "import_entries" ADD CONSTRAINT "import_entries_import_imports_id_fk" FOREIGN KEY ("import") REFERENCES "public"."imports"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "imports" ADD CONSTRAINT "imports_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "imports_by_member" ON "imports" USING btree ("by","at");