CREATE TABLE "ignored_phrases" (
	"member" text NOT NULL,
	"phrase" text NOT NULL,
	CONSTRAINT "ignored_phrases_member_phrase_pk" PRIMARY KEY("member","phrase")
);
--> statement-breakpoint
ALTER TABLE "ignored_phrases" ADD CONSTRAINT "ignored_phrases_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;