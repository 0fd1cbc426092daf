/** Made-up sentences of messages, by the language they are in, to measure the telling of languages by: the telling was not made with them. */
export const MESSAGE_SENTENCES: Readonly<Record<string, readonly string[]>> = {
  'en-GB': `We found a young hedgehog
Is the hospital open tomorrow?
Please ring me back
There is a swan on the road near Marsh Lane
My daughter picked up a fledgling this morning and put it in a shoe box
Could you tell me whether you take in foxes?
I would like to help on Saturdays
The gull has a hook in its beak and will not let anyone come near
Thank you so much for looking after the owl we brought in last week
Can I come and see her before she is released?
How long does a hedgehog need to sleep before it is let go again?
It was lying beside the canal with one wing spread out
What should I feed a baby bird that has fallen out of the nest?
Nobody answered when I called
Where do I leave the carrier you lent us?
A badger has dug up half of our lawn and my husband wants to know if that is against the law
I am writing on behalf of the parish council about the bats in the church tower
Do you need towels or old blankets?
She is eating well and has put on forty grams
Our school would love to visit you with a class of thirty children in the spring, if that is at all possible
There were two of them yesterday and only one today
He says that the deer was still alive when he drove past at about six
Have you any news of the otter?
The cat brought it in and I do not know how badly it is hurt
I have kept it warm overnight as you told me to
Sorry to trouble you again
When will someone be able to collect the box?
It has been raining for days and the nest under our bridge may be washed away
You asked me to write if it was not gone by this evening
I should be glad of any advice
We live right at the edge of the marsh and hear them every night
May I send you a photograph?
A pigeon with a ring on its leg has been sitting on our balcony since Tuesday
I enclose a cheque for the ward
They told us at the shop that you might know what kind of toad this is
My grandmother used to feed the swans here and I would like to do something in her memory
Has the buzzard been released yet, and if so where?
Who pays for the treatment?
Bats in the loft
I am afraid of wasps and there is a nest right above the door of our kitchen
The man next door puts out poison for rats and I am worried about the owls
If it is not too much to ask, could one of you have a look at her leg?
Please cancel my visit on Friday
It can fly a little but always comes down again after a few yards
Is it true that milk is bad for hedgehogs?
We would be happy to take two of the ducklings once they are bigger
Your gate was shut when we came
I picked it up with a towel, as the notice on your door says, and put it in the dark
There is something wrong with its left eye
How much do you charge for a guided walk?
Nothing has changed since I last wrote
I moved here in June and have never seen so many frogs
Could the volunteers come an hour earlier next week?
We have lost the form you gave us
The heron stands in our pond every morning and the fish are nearly all gone
Which of your nurses did I speak to?
I will bring it round at noon
My son, who is nine, wants to become a vet and asks whether he may watch you for a day
Some boys were throwing stones at the nest and I would like to know whom I should tell
It was not hurt, only cold and very wet`.split('\n'),
  cy: `Rydym wedi dod o hyd i ddraenog bach
Ydy'r ysbyty ar agor yfory?
Ffoniwch fi yn ôl os gwelwch yn dda
Mae alarch ar y ffordd ger Lôn y Gors
Cododd fy merch gyw bach y bore yma a'i roi mewn bocs esgidiau
Ydych chi'n derbyn llwynogod?
Hoffwn i helpu ar ddydd Sadwrn
Mae bachyn ym mhig yr wylan ac nid yw hi'n gadael i neb ddod yn agos
Diolch yn fawr iawn am ofalu am y dylluan yr wythnos diwethaf
Ga i ddod i'w gweld hi cyn iddi gael ei rhyddhau?
Am faint mae angen i ddraenog gysgu?
Roedd yn gorwedd wrth ymyl y gamlas ag un adain ar led
Beth ddylwn i ei roi i aderyn bach sydd wedi syrthio o'r nyth?
Doedd neb yn ateb pan ffoniais i
Ble dylwn i adael y cawell?
Mae mochyn daear wedi tyllu hanner ein lawnt ac mae fy ngŵr eisiau gwybod a yw hynny yn erbyn y gyfraith
Rwy'n ysgrifennu ar ran y cyngor am yr ystlumod yn nhŵr yr eglwys
Oes angen tywelion neu hen flancedi arnoch chi?
Mae hi'n bwyta'n dda ac wedi ennill deugain gram
Byddai ein hysgol wrth ei bodd yn ymweld â chi gyda dosbarth o ddeg ar hugain o blant yn y gwanwyn
Roedd dau ohonyn nhw ddoe a dim ond un heddiw
Mae e'n dweud bod y carw yn fyw o hyd pan aeth heibio
Oes gennych chi unrhyw newyddion am y dyfrgi?
Daeth y gath ag ef i mewn a dydw i ddim yn gwybod pa mor ddrwg yw'r anaf
Cadwais i ef yn gynnes dros nos fel y dywedoch chi
Mae'n ddrwg gen i eich poeni eto
Pryd bydd rhywun yn gallu casglu'r bocs?
Mae hi wedi bod yn bwrw glaw ers dyddiau
Gofynnoch chi i mi ysgrifennu os na fyddai wedi mynd erbyn heno
Byddwn yn falch o unrhyw gyngor
Rydyn ni'n byw ar ymyl y gors ac yn eu clywed nhw bob nos
Ga i anfon llun atoch chi?
Mae colomen â modrwy ar ei choes wedi bod yn eistedd ar ein balconi ers dydd Mawrth
Amgaeaf siec i'r ward
Dywedon nhw wrthon ni yn y siop y byddech chi efallai'n gwybod pa fath o lyffant yw hwn
Roedd fy mam-gu yn arfer bwydo'r elyrch yma a hoffwn i wneud rhywbeth er cof amdani
A yw'r bwncath wedi cael ei ryddhau eto, ac os felly ble?
Pwy sy'n talu am y driniaeth?
Ystlumod yn yr atig
Mae arna i ofn cacwn ac mae nyth uwchben drws y gegin
Mae'r dyn drws nesaf yn rhoi gwenwyn allan i'r llygod mawr
Allai un ohonoch chi edrych ar ei choes hi?
Canslwch fy ymweliad ddydd Gwener
Mae'n gallu hedfan ychydig ond mae bob amser yn dod i lawr eto
Ydy hi'n wir bod llaeth yn ddrwg i ddraenogod?
Bydden ni'n hapus i gymryd dau o'r hwyaid bach
Roedd eich giât ar gau pan ddaethon ni
Codais i ef gyda thywel a'i roi yn y tywyllwch
Mae rhywbeth o'i le ar ei lygad chwith
Faint ydych chi'n ei godi am daith gerdded?
Does dim byd wedi newid ers i mi ysgrifennu ddiwethaf
Symudais i yma ym mis Mehefin ac erioed wedi gweld cymaint o frogaod
Allai'r gwirfoddolwyr ddod awr yn gynharach yr wythnos nesaf?
Rydyn ni wedi colli'r ffurflen
Mae'r crëyr yn sefyll yn ein pwll bob bore ac mae'r pysgod bron i gyd wedi mynd
Gyda pha nyrs y siaradais i?
Dof i ag ef am hanner dydd
Mae fy mab, sy'n naw oed, eisiau bod yn filfeddyg
Roedd bechgyn yn taflu cerrig at y nyth
Nid oedd wedi ei anafu, dim ond yn oer ac yn wlyb iawn`.split('\n'),
  de: `Wir haben einen jungen Igel gefunden
Ist das Spital morgen geöffnet?
Bitte rufen Sie mich zurück
Auf der Straße an der Marschgasse steht ein Schwan
Meine Tochter hat heute früh ein Küken aufgelesen und in einen Schuhkarton gesetzt
Nehmen Sie auch Füchse auf?
Ich würde gern samstags helfen
Die Möwe hat einen Haken im Schnabel und lässt niemanden an sich heran
Vielen Dank, dass Sie sich um die Eule gekümmert haben
Darf ich sie sehen, bevor sie freigelassen wird?
Wie lange muss ein Igel schlafen?
Sie lag neben dem Kanal, einen Flügel weit ausgebreitet
Was soll ich einem Vogel füttern, der aus dem Nest gefallen ist?
Niemand hat abgenommen, als ich anrief
Wo soll ich die Kiste abgeben?
Ein Dachs hat unseren halben Rasen umgegraben und mein Mann möchte wissen, ob das verboten ist
Ich schreibe im Namen der Gemeinde wegen der Fledermäuse im Kirchturm
Brauchen Sie Handtücher oder alte Decken?
Sie frisst gut und hat vierzig Gramm zugenommen
Unsere Schule würde Sie im Frühling gern mit einer Klasse von dreißig Kindern besuchen
Gestern waren es zwei und heute ist es nur noch eines
Er sagt, dass das Reh noch lebte, als er vorbeifuhr
Gibt es etwas Neues vom Otter?
Die Katze hat ihn hereingebracht und ich weiß nicht, wie schlimm es ist
Ich habe ihn über Nacht warm gehalten, wie Sie gesagt haben
Entschuldigen Sie die Störung
Wann kann jemand die Kiste abholen?
Es regnet seit Tagen und das Nest unter unserer Brücke könnte weggespült werden
Ich sollte schreiben, wenn er heute Abend noch da ist
Für jeden Rat wäre ich dankbar
Wir wohnen direkt am Rand der Marsch und hören sie jede Nacht
Darf ich Ihnen ein Bild schicken?
Seit Dienstag sitzt eine Taube mit einem Ring auf unserem Balkon
Ein Scheck für die Station liegt bei
Im Laden hat man uns gesagt, dass Sie vielleicht wissen, was für eine Kröte das ist
Meine Großmutter hat hier die Schwäne gefüttert und ich möchte etwas in ihrem Andenken tun
Ist der Bussard schon frei, und wenn ja, wo?
Wer bezahlt die Behandlung?
Fledermäuse im Dach
Ich habe Angst vor Wespen und über der Küchentür hängt ein Nest
Der Nachbar legt Gift für die Ratten aus und ich sorge mich um die Eulen
Könnte sich jemand von Ihnen ihr Bein ansehen?
Bitte sagen Sie meinen Besuch am Freitag ab
Er kann ein wenig fliegen, kommt aber nach ein paar Metern wieder herunter
Stimmt es, dass Milch für Igel schlecht ist?
Wir würden gern zwei von den Entenküken nehmen
Ihr Tor war zu, als wir kamen
Ich habe ihn mit einem Tuch aufgehoben und ins Dunkle gesetzt
Mit dem linken Auge stimmt etwas nicht
Was kostet eine Führung?
Seit meinem letzten Brief hat sich nichts geändert
Ich bin im Juni hergezogen und habe noch nie so viele Frösche gesehen
Könnten die Freiwilligen nächste Woche eine Stunde früher kommen?
Wir haben das Formular verloren
Der Reiher steht jeden Morgen in unserem Teich und die Fische sind fast alle weg
Mit welcher Schwester habe ich gesprochen?
Ich bringe ihn mittags vorbei
Mein Sohn ist neun und möchte Tierarzt werden
Ein paar Jungen haben Steine auf das Nest geworfen
Verletzt war er nicht, nur kalt und sehr nass`.split('\n'),
  fr: `Nous avons trouvé un jeune hérisson dans le jardin
Est-ce que l'hôpital est ouvert demain matin ?
Je voudrais aider le samedi si vous avez besoin de quelqu'un
Le cygne est blessé à l'aile et ne peut plus voler
Merci beaucoup pour tout ce que vous avez fait pour la chouette
Il y a un nid de guêpes au-dessus de la porte de notre cuisine
Ma fille a ramassé un oisillon ce matin
Puis-je vous envoyer une photo ?
Il était couché au bord du canal
Quand pourrez-vous venir chercher la boîte ?`.split('\n'),
  nl: `Wij hebben een jonge egel gevonden in de tuin
Is het ziekenhuis morgen open?
Ik zou graag op zaterdag willen helpen
De zwaan heeft een gewonde vleugel en kan niet meer vliegen
Hartelijk dank dat u voor de uil hebt gezorgd
Er zit een wespennest boven de deur van onze keuken
Mijn dochter heeft vanochtend een jong vogeltje opgeraapt
Mag ik u een foto sturen?
Hij lag naast het kanaal met een vleugel wijd open
Wanneer kan iemand de doos komen ophalen?`.split('\n'),
};
