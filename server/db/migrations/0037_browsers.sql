CREATE TABLE "browser_codes" (
	"member" text PRIMARY KEY NOT NULL,
	"code_hash" text NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	CONSTRAINT "browser_codes_code_hash_unique" UNIQUE("code_hash")
);
--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "scope" text DEFAULT 'whole' NOT NULL;--> statement-breakpoint
ALTER TABLE "sessions" ADD COLUMN "name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "browser_codes" ADD CONSTRAINT "browser_codes_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;