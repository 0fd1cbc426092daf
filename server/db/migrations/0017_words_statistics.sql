-- So many of the commonest words of the bank are counted (ten for each): of the others it is guessed how many entries have
-- them, and for a misspelt word, looked for as any of a dozen rare ones, a bad guess reads the whole bank through.
ALTER TABLE "entry_words" ALTER COLUMN "words" SET STATISTICS 300;
