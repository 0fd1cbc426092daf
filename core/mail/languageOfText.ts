/**
 * Small words that hardly any sentence of a language does without: articles, pronouns, prepositions, conjunctions, forms of "to be"
 * and "to have", and what letters begin and end with.
 */
const SMALL_WORDS: Readonly<Record<string, string>> = {
  'en-GB':
    'the of and to in is it you that was for on are with as i his they be at have from or had by but what some we can out other were all there when up use your how said an each she which do their time if will way about many then them would so these her him has my me am not this please hello dear thank thanks regards could should did does been into our where who why any it’s don’t i’m haven’t can’t didn’t over after still very just know see also',
  cy: 'y yr yn i o a ac ar at am gan gyda gyfer mae mai oes oedd roedd bydd bod wedi ei eu eich ein fy dy hi chi ni nhw hwn hon hyn hynny ond neu os pan beth ble pwy pam sut lle cael cafodd gwneud dw rwy rydw rydym rydych dydy ddim nid nad na dim annwyl diolch cofion gofynnaf allaf alla gallwch gallaf hoffwn hoffem wnewch plis fawr iawn un dau heddiw ddoe yfory wrth tua dan dros trwy heb yma yno acw bore nawr eto hefyd felly ’n ’r ’i efo isio eisiau bu roeddwn roedden maen yw ydy ydyw sydd sy’n mae’r i’r o’r a’r gan’r mae’n',
  de: 'der die das und ist in den von zu mit sich auf für nicht ein eine einen einem einer eines dem des im am es ich sie er wir ihr ihre ihren ihrem mein meine unser unsere auch an als bei aus nach wie aber oder wenn dass daß hat haben hatte war waren sind bin wird werden kann können könnte könnten soll sollen muss noch nur schon so was wer wo warum hier da mir mich uns euch ihnen ihm bitte danke liebe lieber sehr geehrte geehrter guten tag hallo grüße grüßen freundlichen seit um über unter vor zum zur keine kein man möchte würde gern heute gestern morgen',
  fr: 'le la les de des du un une et est en que qui dans pour pas sur au aux avec ce cette ces il elle nous vous ils je ne se sa son ses mon ma mes votre vos notre nos plus par mais ou où si être avoir a été sont suis avez ont fait peut comme tout bien très bonjour merci cordialement madame monsieur c’est j’ai d’un d’une qu’il l’ n’est depuis chez aussi',
  es: 'el la los las de del y que en un una es por con para no se lo su sus al como más pero o este esta estos ha he han hay está están ser muy me mi mis nos le les usted ustedes yo si cuando donde qué cómo buenos días hola gracias saludos señor señora desde también sobre ya porque todo son fue',
  it: 'il lo la gli le di del della dei delle e è che in un una per con non si da dal al alla nel nella sono ho ha hanno mi ci vi suo sua loro questo questa più ma o se come anche molto buongiorno grazie saluti gentile cordiali dove quando perché ancora stato essere quello noi voi io lei',
  nl: 'de het een en van in is dat op te zijn met voor niet aan er om ook als dan maar bij nog uit naar heeft hebben had ik jij je u hij zij ze wij we ons onze mijn uw hun deze dit die wat wie waar hoe kan kunnen zou worden wordt werd geen wel al door over tot geachte beste groet groeten dank graag vandaag',
  pl: 'i w z na do nie się jest to że o od po za dla jak ale czy co tak już są był była było przez przy może ja ty on ona my wy oni mnie mi nas pan pani dzień dobry dziękuję proszę pozdrawiam jej jego ich ten ta te tego które który która gdzie kiedy bardzo jeszcze mam',
  pt: 'o os as um uma de do da dos das e em no na nos nas que é por para com não se ao à mais mas ou como seu sua está estão foi ser ter tem eu ele ela você nós eles me nos meu minha muito bom dia olá obrigado obrigada cumprimentos senhor senhora também quando onde já ainda isso este esta',
  ga: 'an na agus is tá bhí i ar le do de go nach ní mé tú sé sí muid sibh siad mo d’ a ár bhur ag ó faoi chuig roimh trí gan ach nó má nuair cad cá conas cén sin seo sea chun bheith atá raibh bhfuil dia duit a chara go raibh maith agat le meas anois inniu inné',
};

const WORD = /[\p{L}’']+/gu;

/** By word: in how many languages it is small, and in which. */
const byWord = new Map<string, string[]>();
for (const [language, words] of Object.entries(SMALL_WORDS)) {
  for (const word of new Set(words.split(' '))) byWord.set(word, [...(byWord.get(word) ?? []), language]);
}

/** Letters that of these languages only one has. */
const OWN_LETTERS: readonly (readonly [RegExp, string])[] = [
  [/[ŵŷ]/iu, 'cy'],
  [/[ß]/u, 'de'],
  [/[łąęśżźćń]/iu, 'pl'],
  [/[ñ¿¡]/u, 'es'],
  [/[ãõ]/iu, 'pt'],
];

/** A language that a text seems to be in, and whether that is plain. */
export interface LikelyLanguage {
  /** BCP 47. */
  language: string;
  isSure: boolean;
}

/** Looked at to here: what a message says first is in its language. */
const LONGEST = 4000;
const LEAST = 1.5;
const AHEAD = 1.4;

/**
 * The language that a text is most likely in, by its small words: each counts for the languages that have it, the less the more they
 * are, and letters of one language alone count as two words. Null where there is none of them at all.
 */
export function languageOfText(text: string): LikelyLanguage | null {
  const scores = new Map<string, number>();
  const add = (language: string, much: number) => scores.set(language, (scores.get(language) ?? 0) + much);
  const looked = text.slice(0, LONGEST).toLowerCase().replaceAll("'", '’');
  for (const [word] of looked.matchAll(WORD)) {
    const languages = byWord.get(word) ?? byWord.get(word.split('’')[0]!) ?? [];
    for (const language of languages) add(language, 1 / languages.length);
  }
  for (const [letters, language] of OWN_LETTERS) if (letters.test(looked)) add(language, 2);
  const [first, second] = [...scores].sort((a, b) => b[1] - a[1]);
  if (!first) return null;
  return { language: first[0], isSure: first[1] >= LEAST && first[1] >= AHEAD * (second?.[1] ?? 0) };
}
