CREATE TABLE "followings" (
	"draft" text NOT NULL,
	"position" integer NOT NULL,
	"before" text,
	"after" text NOT NULL,
	CONSTRAINT "followings_draft_position_pk" PRIMARY KEY("draft","position")
);
--> statement-breakpoint
ALTER TABLE "followings" ADD CONSTRAINT "followings_draft_drafts_id_fk" FOREIGN KEY ("draft") REFERENCES "public"."drafts"("id") ON DELETE cascade ON UPDATE no action;