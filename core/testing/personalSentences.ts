/** Who is known where the table is read: made up, some with names that are words as well. */
export const KNOWN = {
  names: [
    'Imke Tarrow',
    'Desta Wynne',
    'Ruan Pellow',
    'Anouk Fell',
    'Odile Brandt',
    'Petra Lindow',
    'Wilf Ambry',
    'Rose Heath',
    'Will Marsh',
    'May Grove',
    'Mark Penny',
    'Grace Field',
    'Bramble',
    'Keel',
    'Dune',
    'Sorrel',
    'Tansy',
  ],
  numbers: ['HL-2207', 'W-0412'],
};

/** Words of the language, those of the names that are words too among them. */
export const ORDINARY = new Set(
  'the a an and but if when then that this our your we give ask call tell send move with thank thanks please to at in on by for from of it is was fell rose heath will marsh may grove mark penny grace field bramble keel dune sorrel tansy'.split(
    ' ',
  ),
);

/**
 * Sentences with what must be found in them, as [words|kind], and nothing else: one a line. Made up; telephone numbers are of
 * ranges kept free for stories.
 */
export const SENTENCES = `
Dear [Petra|name], thank you for your call.
Dear [Mr Lindow|name], we are sorry to hear it.
Dear Sir or Madam, thank you for writing.
Dear all, the gate is shut after dusk.
Dear Volunteer, please bring boots.
Dear finder, the owl is doing well.
Hello [Wilf|name], the tape has arrived.
Hi [Jonquil|name], see you on Saturday.
Hi there, see you on Saturday.
Hello again, and thank you.
[Imke Tarrow|name] looks at every wing first.
Ask [Imke|name] before you lift it.
The rota is kept by [Desta Wynne|name].
[Desta|name] was on call that night.
Please copy [Ruan|name] into your reply.
The tapes belong to [Ruan Pellow|name]'s archive.
[Pellow|name] wrote the label.
Tell [Anouk|name] or [Odile|name] at once.
Signed, [Odile Brandt|name]
[Dr Tarrow|name] will see it at noon.
Please ask for [Mrs Quillfeather|name] at the desk.
[Nurse Brandt|name] gave the fluids.
The doctor will see it at noon.
A nurse gives the fluids.
My name is [Hesper Loam|name] and I found a swan.
A man named [Corin|name] brought it in.
The owl, which is called [Pip|name], came by boat.
It is called a roost.
[Bramble|name] weighed more than yesterday.
We let [Bramble|name] sleep until noon.
[Bramble|name]'s wound is closed.
[Bramble|name] is eating well.
Bramble scratches should be bathed in saline.
Clear the bramble from the run.
It was caught in bramble and wire.
Bramble, nettle and thorn hide most nests.
The run backs on to Bramble Lane.
[Keel|name] was fed by hand.
Give [Keel|name] one sprat at a time.
The keel of the breastbone is sharp in a thin bird.
Keel prominent, muscle wasted.
Feel the keel before you weigh the bird.
[Dune|name] came in on a blanket.
Release at the dune edge.
Dune grass hides the chicks.
We moved [Dune|name] to the big pool.
[Sorrel|name] ate two mice.
Sorrel and dock grow along the ditch.
[Tansy|name] gained a little.
Pick tansy for the display.
[Rose|name] rang about the fledgling.
The water rose by a hand overnight.
Rose hips are no food for owlets.
Ask [Rose|name] for the key.
The owls live in Rose Cottage barn.
[Rose Heath|name] takes the calls on Mondays.
We walked over the heath at dawn.
Heath fires drive the adders out.
[Will|name] called twice.
Will you bring it before five?
It will be seen by a vet.
Will it feed by itself?
Send the form to [Will|name], please.
[Will Marsh|name] mends the pens.
The marsh floods each spring.
Hollin Marsh is open to visitors.
You may visit on Sundays.
May I touch it?
The swifts leave in May or June.
By May the nests are full.
On 4 May we count the roost.
May 2026 was a wet month.
[May|name] took the message.
We thank [May|name] for the blankets.
[May Grove|name] takes the evening round.
The alder grove is closed.
Grove paths are muddy.
Mark each nest with a peg.
The mark on its wing fades.
[Mark|name] looked at the ring.
We asked [Mark|name] about the ring.
Please mark the box.
It costs a penny a bag.
Penny for the pond: our collecting box.
[Penny|name] wrote again.
[Mark Penny|name] keeps the boats.
Say it with grace.
[Grace|name] is needed at the desk.
[Grace|name] has the keys.
[Grace Field|name] runs the shop.
Walk round the edge of the field.
Field notes are due on Friday.
The Field School meets on Tuesdays.
It fell from the nest.
Fell runners found it on the path.
The [Fell|name] report is on the desk.
[Wilf Ambry|name] kept the reserve for thirty years.
Mr is short for mister.
The ward opens at Hollin Marsh Wildlife Hospital.
Amoxicillin was given by mouth.
Warm saline, then silver dressing.
The Tawny Owl is common here.
Canada Geese moult in July.
Monday and Thursday are cleaning days.
Call us before you travel.
[He|pronoun] was admitted at dusk.
[She|pronoun] weighed less than on arrival.
We gave [him|pronoun] fluids under the skin.
The finder brought [her|pronoun] in a box.
[His|pronoun] left wing droops.
The wing is [hers|pronoun].
We let [him|pronoun] rest before weighing [him|pronoun] again.
[She|pronoun] preens [herself|pronoun] now.
Tell the finder that [she|pronoun] may ring tomorrow.
Ask him or her to hold the box level.
He or she may visit on Sundays.
The trainee signs his or her own report.
Each trainee brings her own notebook.
Every volunteer signs his name in the book.
A hen pheasant leaves her eggs for an hour at a time.
Anyone who finds an owl should leave it where he found it.
If a visitor falls, help him up and call the warden.
No keeper feeds by himself.
They were admitted at dusk.
It was admitted at dusk.
We gave them fluids under the skin.
Its left wing droops.
The hedgehog curls up when touched.
Another heron came in; there was no room.
The shelter is closed.
Therefore keep it warm.
Use the she-wolf drawing for the poster.
Write to [petra.lindow@reedmail.example|e-mail] today.
Our address is [helpline@hollin.example|e-mail].
Send it to [w_ambry+tapes@marsh-post.example|e-mail], please.
We open @ five.
Two sheets @ 20 pence.
An e-mail address has a sign in its midst.
Ring [01632 960 112|phone] before noon.
[Her|pronoun] number is written on the card: [01632 960113|phone].
Tel. [(01632) 960 114|phone]
Text [07700 900 123|phone] when you set out.
From abroad dial [+44 1632 960 115|phone].
Call [960 116|phone] and ask for the desk.
Phone [555 0142|phone] after six.
Ring us after six.
Ring twice and wait.
It weighed 512 g at noon.
It weighed 1,098 g, then 1,120 g.
Give 0.05 ml for each 100 g.
Between 300 and 400 birds roost here.
In 2025 we counted 12045 birds.
The pool holds 120000 litres.
Keep it at 28 to 30 °C.
Two of 1 000 rings were lost.
Open from 9:30 to 16:45.
Tide at 04.15 and 16.40.
A bag costs £4.50.
The grant was £120,000.
Grid 51.2 by 0.75, roughly.
Mix 1:10 with water.
Count to 10 and lift.
Born on [4 March 1986|birth], as the form says.
Date of birth: [12/07/1991|birth].
DOB [1990-01-31|birth]
[Her|pronoun] birthday is on [3 May 1979|birth].
[He|pronoun] was born in [1962|birth] by the sea.
It hatched on [2 June 2026|birth] in the shed.
Admitted on 4 March 2026 with a torn wing.
The next round is on 12/07/2026.
The barn was built in 1986.
Seals are born in autumn.
Review by 1 May 2027.
The hide opened in 1962.
We expect chicks by June.
[Petra Lindow|name] lives at [12 Saltpan Lane|address].
Post it to [3 Old Quay Road|address], Hollin.
[Flat 2, 41 Heron Way|address] is the second door.
Found behind [7a Mill Terrace|address].
Collected from [Withy Cottage|address] at noon.
[She|pronoun] lives at [Long Reach Farm|address] by the sluice.
The postcode is [ZZ9 4QT|address].
Follow Saltpan Lane to the sluice.
The farm is two miles away.
Turn left at the mill.
Park behind the green barn.
Take road 3 to the quay.
Pen 12 is empty.
Room 7 is for owls.
Case [HL-2207|number] is closed.
See [W-0412|number] for the first weight.
Microchip [981000000000123|number] was read.
Ring number [GV52817|number] was seen on the beach.
Patient no. [20417|number] goes home.
Your reference is [TR-90012|number].
Ref: [88213|number]
Membership number [10045|number] has run out.
Ring [4471-2|number] was found broken.
Step 3 comes before step 4.
Chapter 12 tells of swans.
Form 7 is in the drawer.
See table 2 and figure 10.
Use ISO 8601 dates.
There were 2207 gulls.
Version 2026 of the sheet.
Group B meets in room 4.
Vitamin B12 is given on day 2.
The M20 is closed at night.
A4 paper is in the drawer.
Feed at 8, 12 and 16.
Dear [Mx Sedge|name]: the seal is back at sea.
Thank you, [Prof Eelgrass|name].
[Sir Alder|name] opened the new hide.
Sir, the gate is open.
Keep it in the dark; do not give it milk.
Put on gloves and lift it into a high-sided box.
Owls branch before they fly.
Please reply by Friday.
We would be glad of your help on open day.
The tide turns at noon.
`;

/** More of the same, written after the finding was, and never used to mend it: how it does with what it has not seen. */
export const UNSEEN = `
Good morning [Petra|name], the owlet is back with its parents.
Kind regards, [Anouk|name]
[Desta|name] and [Ruan|name] count the roost together.
We spoke to [Mark|name] on the telephone yesterday.
If [Will|name] agrees, move the seal on Thursday.
Rose petals and leaves do no harm.
A bramble thorn was drawn from the paw.
[Dune|name] still limps a little.
The dune path is closed in May.
Thanks to [Grace|name], the shop made a profit.
With good grace, decline the gift.
Give the key to [Miss Larkmoor|name].
Ask the nurse on duty.
The warden will ring you back.
[Keel|name]: fluids at 8, 12 and 16.
Keel score two of five.
[His|pronoun] temperature was normal at noon.
A trainee may borrow a scope if he or she signs for it.
When an owner calls, tell her what was found.
The mother fed her young until dusk.
My number is [01632 960 200|phone].
You can reach us on [07700 900 321|phone] at night.
The cage measures 120 by 60 by 45 cm.
We ringed 1204 swifts in 2024.
Give 2.5 ml at 8:00 and 20:00.
The invoice came to £1,250.00.
Mail [gate-keeper@hollin.example|e-mail] for a pass.
Born [1 June 1950|birth], retired warden.
The chick hatched on 3 June and fledged in July.
Bring it to the barn at the end of Quay Road.
[44 Eel Street|address] has a blue door.
Deliveries go to [9 Harbour Row|address].
Case number [W-0999|number] is open.
The ring reads [EX10231|number].
Sheet 14 of 20.
Telephone the council, not us.
The [Tarrow|name] bandage is wound twice.
Ward round at nine with [Odile|name].
Heath and moor are home to adders.
Dear Neighbours, the track floods at spring tides.
`;
