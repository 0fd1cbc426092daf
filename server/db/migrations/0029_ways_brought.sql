CREATE TABLE "ways_brought" (
	"member" text NOT NULL,
	"way" text NOT NULL,
	"day" date NOT NULL,
	"times" integer NOT NULL,
	"keys" integer NOT NULL,
	CONSTRAINT "ways_brought_member_way_day_pk" PRIMARY KEY("member","way","day")
);
--> statement-breakpoint
ALTER TABLE "ways_brought" ADD CONSTRAINT "ways_brought_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;