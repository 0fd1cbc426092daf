-- What lies in the wastebasket is found by no word: its words come back with it.
DELETE FROM "entry_words" USING "entries" WHERE "entries"."id" = "entry_words"."entry" AND "entries"."deletion" IS NOT NULL;
