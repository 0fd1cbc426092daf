/**
 * Sentences with what belongs to one case or person in brackets, and nothing else; one a line. Made up. They were written before
 * the finding was mended and set aside: none of them was looked at while it was. Whoever mends the finding looks at
 * `triedSentences.ts`, and measures here.
 */
export const HELD_OUT = `
The bird was found at [Withy Farm].
[Digory Tull] netted eels.
See the note from [Ruan] in the margin.
Copied to [Anouk Fell] and [Wilf Ambry].
Give [Sorrel] and [Tansy] two sprats each.
On [17/11] it ate by itself.
Sorrel leaves are sour.
cc [Desta Wynne]
Weigh daily.
I spoke to the council about it.
It bit [Desta] on the thumb.
Old [Mr Nance] had the ferry.
The fluids were warmed first.
Congratulations on a fine report!
Admitted [16/11/2026], wound cleaned and dressed.
The dog belongs to a visitor.
[Will] drove it to the coast.
Please show the X-ray to [Dr Tarrow] before feeding.
Worm at six weeks of age.
Will it be able to fly?
Give 0.3 ml for every 100 g.
A permit is needed for nets.
It bit a volunteer on the thumb.
Please quote your reference.
Mother and cub left together.
The key to the pool gate is in the desk.
Grid square SX is empty.
Please thank [Cubert] for the loan of the van.
Thanks, [Desta]
Good evening, we hope the owl slept.
As [Zennor] writes, the count was low.
The shed is shut.
Chip [981000000000456] was scanned.
[Jory] has agreed to foster it.
Whatsapp on [07700 900 519].
The prize was won.
The appointment is at 10:30 on [28 November 2026].
Deliver to [Flat 3, 9 Tern Road].
Dose 2 of 5 given.
No chip was found.
[Miss Peverell] taught us the birds.
Two go home next week.
We all called [him] Skipper.
Dear Colleague, please find the report below.
Tube feed every four hours.
Latin names are in italics.
Thank [Rose Heath] for the hay.
My mother kept geese.
Every student gives her own view.
We let [Bramble] rest until the fluids had worked.
The report by [Zennor Kitto] is well built.
[Wilf]: I did, until the flood.
Hello everyone, the rota is up.
The Black-headed Gull is noisy.
Yours sincerely, [J. Trevane]
Found by [Mrs Thessaly Wren] under a hedge.
Sorry to hear that.
Read ISO 9001 first.
[Bramble] and [Keel] go home on [5 December].
Temperature [34.2°C] at first.
Schools may ask for a tour.
Field: shop rota.
Next check on [30 November], sooner if it stops eating.
The policy covers dogs.
Good evening [Mrs Orrick], we hope the owl slept.
My mobile is broken.
A caller asked about gulls.
Our Ward Manager will reply.
[Loveday] asked for a tour.
Collected from [2 Ferry Lane], Hollin.
Ext. [4471] reaches the ward.
The form is dated.
[Keel] swam a length without help.
A family gave a bench.
Rose quartz is kept on the shelf.
[She] brought in an [11-week-old] hedgehog.
Postcodes help us find you.
Thank you for your patience.
Nobody will tell.
[She] was born on [14 June 1951].
The run measures 2 by 3 m.
[Bramble] ate half of the dish overnight.
A volunteer warmed the box.
[She] is bright and alert.
Night visits cost 40 pounds.
The form is dated [04/11/2026].
The student, [Zennor Kitto], wrote a clear summary.
Candidate no. [88120] has an extension.
Take care, [Morwenna].
Handle [him] with thick gloves.
Telephone: [01632 960 442].
Hi all, the pups are thriving.
Order [88213] has left the shop.
Thanks to [Loveday Nance], the roof is mended.
The tape has a hum.
Owner is [Merryn Vosper], phone [01632 960 450].
[Odile] thinks it is mange.
[He]'s due for worming.
Great Crested Newts are protected.
Passport no. [533380006] was shown.
The Field School opens in June.
Bring your passport.
Take the B road to the coast.
[Imke] and [Desta] agreed on release.
Well done, [Zennor]!
At half a kilo it may go.
Temperature normal.
[Mrs Kitto], [7 Sluice Cottages], has the key.
[Ms Peverell] disagrees.
Signed by [Tamsin Orrick] on [3 October 2026].
Bramble thickets shelter most of the nests on the bank.
The vet saw the fracture and splinted it.
We are sorry that nobody rang.
[He] was a careful man, my father.
Follow us @hollin on the board.
Between 40 and 60 swans winter here.
The [Sayle] family gave a bench.
Address: [5 Eelgrass Terrace, ZZ7 3QB].
Dear [Mr and Mrs Pask], thank you for the photographs.
Order before noon for the next day.
Meloxicam by mouth, once a day.
Hollin Marsh Society meets monthly.
The lane is narrow.
Bus 12 stops at the gate.
I spoke to [Merryn] about it.
For members: two tickets.
Discussed with the owner.
Two boxes of sprats came.
Visit us on Tuesday.
Hi [Tamsin and Jory], the pups are thriving.
Microchip no: [981 000 000 000 456].
The hedgehog is [11 weeks] old.
High water is at 16.40.
The appointment is at 10:30.
Ask whether the cat is vaccinated.
Left a message for [Mrs Wren].
[Mrs Lindow] rang twice today.
Ring [Mark Penny] on [01632 960 451].
[Cubert Nance] drove the van.
This compares two sites well.
A ring is fitted at four weeks.
The cat caught it.
The BTO-style ring reads [H 44120].
See [W-0412] for the swan.
500 g is the aim.
My mobile is [07700 900 517].
I give leave to use the photographs.
Use form HR7.
The owner, aged [72], lives alone.
The A12 is closed.
The bird was found at a farm.
Gained [100 g] since arrival.
Gains of 10 g a day are good.
Day 14: stitches out.
The student wrote a clear summary.
Easter is our busiest week.
[He] lives at [14 Cooper Street].
We are sorry, [Mrs Sayle], that nobody rang.
You can ring [960 447] before noon.
Invoice [2026-0173] is unpaid.
The Helpline closes at eight.
The van was lent by a member.
Bleeding stopped.
[Dune] was ringed before release.
[Tamsin] signed for two boxes of sprats.
My mother, [Ada Ambry], kept geese.
E-mail is the quickest way.
Two share a pen.
[Dr Penhale] advised rest.
Sorry to hear that, [Jory].
[512 g] today, well done.
[Rose] will bring the crate back.
The e-mail bounced.
The survey covers 2019 to 2024.
Erinaceus europaeus is the hedgehog.
[His] brother [Austol] keeps pigeons.
Handed over to [Desta] at eight.
[Field], [Grace]: shop rota.
The class drew the seals.
[WILF AMBRY]: I did, until the flood.
The reserve was made in 1951.
The cat, [Biscuit], caught it.
It hissed when touched.
Student: see list.
Kind regards, [Tamsin]
Group C leads the walk.
The theme of the essay is loss.
Dear [Ms Orrick], thank you for the photographs.
By [December 4th] it may fly.
Permit [12/2026/044] allows two nets.
Eels were netted here.
Paragraph 12 repeats paragraph 3.
[Merryn] gave leave to use the photographs.
Plan: fluids, warmth, rest.
From: the helpline.
Open 9 to 5, 7 days a week.
Males are heavier.
Tyto alba hunts over the marsh.
Saltpan Nature Trail is open.
A penny for each egg.
Up from [455g].
Mark the box with the date.
We live at [Gull Cottage] by the slip.
Chapter 7 deals with owls.
Tell the finder that the leg will not heal.
Name: see list.
Many thanks, [Elowen]
[His] left eye is closed.
[Bramble] is a male of about [11 weeks].
A dune fence keeps dogs away.
No problem, [Austol], it is done.
From: [Anouk].
Tel [01632 960443]
Well done, this is clear.
Silver dressing, changed daily.
Second marker: none.
As you write, the count was low.
Use a 25 mm needle.
Others disagree.
Review booked for [Nov 27] at ten.
Policy [PX-22019-7] covers the dog.
Ring [GX41187] on the left leg.
I, [Merryn Vosper], give leave to use the photographs.
The fee is 12.50 a night.
Text STOP to leave the list.
Congratulations, [Tamsin]!
We phoned [Jory Trevane] at noon; no answer.
[Mark] drove it to the coast.
The dressing was changed by [Imke Tarrow] at noon.
Ring on the left leg, worn.
Hospital number [HL-2209].
Version 3 of the guide is out.
Invoices are paid within 30 days.
They hissed when touched.
Write to [elowen@pask-family.example].
The code is 0 to 9.
Weight [512g], eating.
The grove is quiet in the evening.
Rang [Elowen] with the news.
See the note in the margin.
Referred to [Professor Eddy Marlin].
He or she may choose.
Case [HL-2207] is ready for release.
The net has 20 mm mesh.
Case [HL-3315] came overnight.
The tide table for 2026 is out.
The boat was called the Curlew.
The case is closed.
[Bramble]'s stitches come out on [2 December].
Monday to Friday, nine to five.
Room 12 is quarantine.
[Merryn Vosper] called about a gull.
Told [Mr Pask] that the leg will not heal.
Please thank your class for the drawings.
Hoglets open their eyes at two weeks.
Name: [Demelza Tull].
The caller was [Merryn Vosper].
Found in the garden of [21 Marram Way].
Move [Bramble] to pen 4.
Leave was given.
Emergency contact: none.
A vet must see it before he or she signs.
Since [Monday 16 November] no drops.
Referred to a specialist.
Our neighbour [Mrs Kitto] heard it cry.
[Ruan]'s tape has a hum.
[Wilf] used to ring terns on the spit.
Hello [Morwenna], your parcel has left us.
Your candidate number is [40217].
Recorded in the back room.
On arrival the weight was [412 g].
[Penny] is at the desk until two.
The [Lindow] case is closed.
[Petra] rang twice today.
Submission [FS-2211] came a day late.
About 15000 people visit.
The keel is sharp to the touch.
Call me on [01632 960 441] after six.
Move it to pen 4.
Ask [Hesper] whether the cat is vaccinated.
[Dr Tarrow] has signed the plan.
[Elowen Pask] will foster it from [3 December].
Splinted by [Nurse Kitto].
We counted 1,204 swifts.
[He] is eating by [himself] today.
Marked out of twenty.
Seen again on the [19th of November] by the vet.
The fair is each May.
[Imke] said the wing would hold.
No trainee lifts a swan alone until he is shown how.
The van was driven with care.
Grace period for the fee is two weeks.
Cared for by [Odile] over the weekend.
Found in a garden.
Dear [Thomasin], thank you for the photographs.
[Bramble] shares a pen with [Tansy].
Visit [Wilf] on Tuesday.
[Imke]'s plan: fluids, warmth, rest.
The mother feeds her cubs at dusk.
[Lindow] paid by card.
`;
