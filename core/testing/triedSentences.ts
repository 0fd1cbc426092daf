/** Of the same hand as the sentences held out, a third of all drawn by lot: what the finding of details was mended with. */
export const TRIED = `
Overnight [Bramble] drank a little from the dish.
Ring the boatman.
The cottage is by the slip.
A teacher taught us the birds.
Next of kin: [Ada Vosper].
The interview was held at the archive.
Finder: [Elowen Pask], rings after six.
The fault was [hers].
Reference [TR-90013], please quote it.
Release when the weight is above 600 g.
[Loveday]'s class drew the seals.
Owner is abroad.
[May Grove] covers the evening.
Dear Finder, thank you for the photographs.
The hide closes at the end of November.
Your membership is [10045-B].
Our neighbour heard it cry.
There was a man who netted eels.
We gave [her] fluids by tube.
Keep the incubator at 30 °C.
There were 40217 terns in the count.
The T-shaped perch is broken.
Whoever finds it should keep his dog away.
In table 4 the totals do not add up.
Cite the source, as in (Larkmoor, 2019).
Call me after six.
No problem, it is done.
Plan B is to wait.
At [0.512 kg] it may go.
Due [2026-12-01].
Mother and cub [Sorrel] left together.
INTERVIEWER: And you lived by the quay?
It came in on [16 November] in a shoe box.
[Tansy] lost weight again.
In May the pools are cleaned.
Admitted on [16 November 2026] after a dog found it.
My daughter [Demelza] saw it first.
[Her] name is on the card.
[She]'s a quiet one.
[Demelza Tull], aged [10], won the prize.
Kind regards, the helpline
[Anouk]'s notes are in the blue folder.
Fax it to [01632 960 446].
Student: [Zennor Kitto].
With best wishes from all of us.
It looks like mange.
The narrator speaks of the flood.
Hand-reared by [Desta]; do not release alone.
Ticket number [55120] wins.
A day late, minus five marks.
Back for a check.
Pen 4 and pen 7 are free.
The postcode is [ZZ7 3QB].
The narrator, [Wilf Ambry], speaks of the flood.
If anyone asks, tell them.
Attention: [Odile Brandt].
A ewe will leave her lamb.
[Tarrow]'s splint is the best.
Vitamin K was given.
Second marker: [Odile Brandt].
Foster homes are wanted from December.
Thank you, [Morwenna], and take care.
My name is [Merryn Vosper] and I found a gull.
Discussed with [Imke] and the owner.
Emergency contact [Petra Lindow], [07700 900 520].
The Welsh leaflet is being printed.
For [Tamsin Orrick]: two tickets.
By winter it may fly.
[Ruan] has the key to the pool gate.
[Her] son is [9 years] old and found it.
Yes, we open on Sundays.
The van was lent by [Cubert Nance].
The ferry ran until 1970.
It had reached [455 g] by the third day.
I was born in [1948] in the mill house.
On day 3 it ate by itself.
Nobody told [Will].
Mail us at [wards@hollin.example].
The weight rose from [412 g] to [512 g] in a week.
Up a little.
A fosterer has agreed to take it.
Marked by [Ruan Pellow].
Each owner signs his or her form.
[Zennor Kitto] compares two sites well.
Sample sent [18.11.2026].
The finder, [Jory Trevane], will collect it.
Your method section is clear.
Next of kin: none.
Thanks to your gift, the roof is mended.
Brought in by [Mr Calder Finch] of the sailing club.
The doctor advised rest.
On behalf of the ward.
Figure 3 shows the roost.
A splint is best.
Sample sent.
The Long Hide seats twelve.
Thank you, and take care.
We met on [5 May 2026] at the fair.
Yes, [Loveday], we open on Sundays.
Size XL gloves are in the drawer.
Thanks in advance
Attention: swans crossing.
[He] names the boat as the Curlew.
The temperature on admission was [34.2 °C], cold to the touch.
Christmas hours are on the door.
Due soon.
[Tull] argues that nets harm eels.
The caller was upset.
Back on [1 Dec] for a check.
The English version is on the board.
Releases stop in late November because of frost.
Copied to the ward.
Interviewed by [Ruan Pellow] at the archive.
[merryn.vosper@gulls.example] wrote again.
Send photos to [seal_watch@tide.example] please.
There, the heron stood.
Turn into Ferry Lane and park.
Best wishes, [Morwenna Sayle]
[May] drove it to the coast.
The number to ring is [(01632) 960 444].
Heath hay is best.
The number of rings is 444.
Paper is A4.
Splinted by a nurse.
The dog belongs to [Mr Tull].
Bled on [18 November]; clear.
There was a man called [Digory Tull] who netted eels.
According to the paper, nets harm eels.
Membership costs 24 pounds.
[He] hissed when touched.
Since Monday no drops.
[Sister Brandt] wants the chart by noon.
On behalf of [Mrs Loveday Nance].
Channel 16 is for boats.
Tern chicks hatch on the spit.
Speaker one coughs.
Tickets are at the desk.
From abroad ring [+44 1632 960 445].
Recorded on [12 March 2026] in the back room.
Ask the Duty Vet.
Many thanks for the blankets.
Tansy grows by the gate.
Hand-reared; do not release alone.
[Grace] drove it to the coast.
My daughter saw it first.
According to [Digory Tull], nets harm eels.
Nets harm eels.
I was born by the sea.
[Zennor], your method section is clear.
[07700 900 518] is the night number.
`;
