CREATE TABLE "sendings" (
	"id" text PRIMARY KEY NOT NULL,
	"member" text NOT NULL,
	"draft" text,
	"case" text,
	"to" jsonb NOT NULL,
	"cc" jsonb NOT NULL,
	"subject" text NOT NULL,
	"from" text NOT NULL,
	"message" text NOT NULL,
	"state" text NOT NULL,
	"reason" text NOT NULL,
	"by_server" boolean NOT NULL,
	"asked_at" timestamp with time zone NOT NULL,
	"goes_at" timestamp with time zone NOT NULL,
	"state_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sendings" ADD CONSTRAINT "sendings_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sendings" ADD CONSTRAINT "sendings_draft_drafts_id_fk" FOREIGN KEY ("draft") REFERENCES "public"."drafts"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sendings" ADD CONSTRAINT "sendings_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sendings_by_member" ON "sendings" USING btree ("member","asked_at");--> statement-breakpoint
CREATE INDEX "sendings_by_draft" ON "sendings" USING btree ("draft");--> statement-breakpoint
CREATE INDEX "sendings_by_state" ON "sendings" USING btree ("state","goes_at");