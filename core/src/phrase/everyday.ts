/**
 * Words of everyday English that are said around what is meant. None of them is a slip of another word, and none is underlined as unknown; where one of them stands
 * in a name it counts as that, as it is written.
 */
const TEXT = `
a able about above across actually after again against age ago ahead all alone along already also although always am an and angry another any anybody
anyone anything anyway anywhere apart are area around as ask asked asks at away awesome awkward
back bad badly be beautiful became because become been before began begin beginner beginners begins behind being below best better between big bit black blood blue body both
bottle bottom boy boys break broke brown busy but buy by call called calls came can cannot can't careful carefully catch caught cause certain chance change changed changes class classic
clean clear clearly clever clock close closed closely coach coaching cold come comes coming common competitor completely control cool correct corner could couple course crazy cross crowd cut
daddy dance danger day days deal decent decided deep defence defend did didn didn't die different difficult direct direction do does doesn doesn't dog doing don don't done door double down drag
drop dropped drops dry during each earlier early easily easy edge effort eight either eleven else empty end ended ending ends energy enough enter entry equal especially even
event ever every everybody everyone everything exact exactly example excellent except expect explain extra eye face fact fair fall falls false family fantastic far fast faster father
feel feeling feels feet fell felt few field fight fighter fights final finally find finds fine finger fire first fit five fix flat floor follow followed following follows foot for force form forward found
four free fresh friend from front full fully fun funny game gave get gets getting girl give given gives giving glad go goes going gold gone good got great green grey grip ground group grow guess guy guys
had half hand hands happen happened happens happy hard harder hardly has hasn hasn't have haven't having he head hear heard heart heavy height held help her here herself hers hey
high higher him himself his hit hits hold holds home hook hooks hooked hope hot hour how however huge hurry hurt i idea if important in inside instead interesting into is isn isn't it its itself
job join jump jumps just keep keeps kept kick kid kids kind knew know knows land landed lands large last late later laugh lead leads lean leans learn least leave leaves led left leg legs less let lets level life lift light like
likely line little live long longer look looked looking looks loose lose loses lost lot lots loud love low lower luck lucky made main make makes making man many march match mat matter may maybe me mean means
meant meet men mid middle might mind mine minute minutes miss missed misses mistake moment more morning most mostly mother mouth move moved movement moves moving much must my myself name nasty near nearly neat need needed
needs neither never new next nice night nine no nobody none nor normal not note nothing notice now null number of off offer often oh okay old on once one ones only onto open opened opponent or order other others our out over own
knee knees arm arms hip hips elbow elbows neck chest shoulder shoulders
sits sat pulls turns rolls lifts drops passes
pace page paid pain pair part partner parts past patient people per perfect perhaps person phone pick picked picture piece place plan play played player point points poor posted power press pressed pressing pretty problem proper properly pull pulled
pulls push pushed pushes put puts putting question quick quickly quiet quite ran rather reach reached ready real really reason red ref referee remember rest reset result return review ride right ring roll
room round rounds rule rules run running runs said same saw say says score scored season second seconds see seems seen sequence set sets seven several shape share sharp she short should shoulder show showed shown shows side sides sign silly
simple simply since sit sitting six size sleep slick slip slow slowly small smaller smart smile smooth so soft some somebody someone something sometimes soon sorry sort sound space speed spent spot stage stance stand
standing stands start started starting starts stay stayed stays step steps stick still stood stop stopped stops story straight strange strength strong stuck stuff style such sudden suddenly super support sure surprised sweat swing
table take taken takes taking talk tall tap taught teach team tell ten test than thanks that the their theirs them themselves then there these they thing things think third this those though thought three threw through throw thursday tight tighter
time times timing tiny tired to today together told tomorrow too took top touch tough toward towards tried tries trouble true try trying turn turned turns twelve twice two type ugly under understand unless until up upon us
use used uses using usual usually very video view wait waited waiting waits walk walked walks want wanted wants warm was wasn wasn't watch watched watching water way we weak wear week weight well went were weren't what
whatever when where which while white who whole whose why wide will win window wins with within without woke won wonder word work worked works world worse worst worth would wow wrong year years yellow yes yesterday yet you young your yours
monday tuesday wednesday friday saturday sunday january february april june july august september october november december`;

const EVERYDAY = new Set(
  TEXT.split(/\s+/)
    .filter(Boolean)
    .map((word) => word.replace(/['’].*$/u, '')),
);

/** Whether a token (lower case, without accents) is a word of everyday English. */
export const isEveryday = (token: string): boolean => EVERYDAY.has(token);
