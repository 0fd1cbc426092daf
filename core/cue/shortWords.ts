/** English words of up to five letters that stand in any text: typed as a cue without a lead-in, they would bring wording unasked. */
export const SHORT_WORDS: ReadonlySet<string> = new Set(
  (
    'a i am an as at be by do go he if in is it me my no of oh ok on or so to up us we ah ad hi ' +
    'act add age ago aid aim air all and any arm art ask bad bag bar bat bed bee bid big bit box boy bus but buy can cap car cat cod cow cry cup cut dad day did die dig dim dip dog dot dry due ear eat egg ' +
    'end eye fan far fat fed few fit fix fly fog for fox fun fur gap gas get got gum gun gut had ham has hat hay hen her hid him hip his hit hot how ice ill ink its jam jar jaw job joy key kid kin kit lab ' +
    'lad lag lap law lay led leg let lid lie lip lit log lot low mad man map mat may men met mid mix mob mud net new nil nod nor not now nut oak oar odd off oil old one our out owe owl own pad pan paw pay pen ' +
    'per pet pie pig pin pit pot pub put ran rap rat raw ray red rib rid rig rim rip rob rod rot row rub rug run sad sat saw say sea see set sex she shy sip sir sit six ski sky son sow spa sum sun tag tan tap ' +
    'tar tea ten the tie tin tip toe ton too top toy try tub two use van vet via war was wax way wed wet who why win yes yet you zip ' +
    'able also area away baby back ball band bank base bath bear been best bill bird body bone book born both call came care case cell chip city cold come cope cost data date days dead deal dear died diet ' +
    'does done door dose down draw dust each ears east easy eggs else even ever eyes face fact fall farm fast feed feel feet fell felt find fine fish five food foot form four free from full gain game gave give ' +
    'glad goes gold gone good grew grow half hand hard have head hear heat held help here high hold home hope hour idea into item just keep kept kind knew know lack lamp land last late lead left less life lift ' +
    'like line list live long look lose loss lost lots love main make male many mark mass mean meet mild milk mind more most move much must name near neck need nest news next nine none noon nose note once only ' +
    'open oral over pack page paid pain pair part past path plan play post rain rang rate read real rest ring rise risk road room rule runs safe said salt same save seen self sell send sent show shut side sign ' +
    'site size skin slow soft some soon sore stay step stop such sure take talk team tell term test text than that them then they thin this thus tide till time told took tube turn type unit upon used very vets ' +
    'visit wait walk wall want warm wash weak wear week well went were west what when wide wife wild will wind wing wish with wood word wore work worn year your zero about after again being below bring could ' +
    'daily early every fluid found given great group heart large later least leave level light lower month never night north often order other owner place plain point quite ready right round seven shall sharp ' +
    'short since sleep small sorry south stage start state still stood swell table their there these thing think those three today total touch under until upper urine usual value watch water weigh where which ' +
    'while white whole whose woman world would wound write wrote young'
  ).split(' '),
);
