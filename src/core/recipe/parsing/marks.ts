import { LANGUAGES } from './languages';
import { isWord, type Token } from './tokens';

type Words = readonly string[];

/** Single words that say what the words beside them are, each under what it marks. */
interface Marks {
  /** "Before: 3 tbsp. Now: …": what it was. */
  readonly earlier: Words;
  /** Before "tea": of some plant, and not of tea leaves. */
  readonly herbal: Words;
  /** "a hot water bath": what it stands in. */
  readonly bathNoun: Words;
  /** Before what goes in only then: "if it is dry I add an egg". */
  readonly onlyIf: Words;
  /** "leave the honey out": before what goes in no longer … */
  readonly leaves: Words;
  /** … and behind it. */
  readonly leftOut: Words;
  /** "a cup less a spoon": what is taken off again. */
  readonly minus: Words;
  /** Before what something is poured over: no more of it. */
  readonly over: Words;
  /** "a big one": what was named before, no number. */
  readonly pronounOne: Words;
  /** Before the minutes that something stays: "rinse after ten minutes". */
  readonly after: Words;
  /** Before what she takes of several: "oil, whatever you've got, I like grapeseed". */
  readonly prefers: Words;
  /** What numbers count that measure nothing: "four things". */
  readonly countsThings: Words;
  /** A tea, or the cup it is drunk from. */
  readonly tea: Words;
  /** What is done meanwhile is none of the steps: "under a cap while I cook". */
  readonly meanwhile: Words;
  /** Before what a mixture is made for. */
  readonly purpose: Words;
  /** Before what a tea is made from. */
  readonly madeFrom: Words;
  /** Before what is in it: "cold water with a spoon of honey". */
  readonly holding: Words;
  /** Behind "4c": it tells how hair curls. */
  readonly ofHairType: Words;
  /** Behind "cloves of": only this is counted so. */
  readonly inCloves: Words;
  /** "a cup of the milk", behind a strainer: of what ran through. */
  readonly ranThrough: Words;
  /** Behind what she takes of it each time: "every night". */
  readonly everySo: Words;
  /** Where something is put on: scalp, ends. */
  readonly head: Words;
  /** Before it. */
  readonly onto: Words;
  /** "half a can, that's 200 ml": the same again. */
  readonly meaning: Words;
  /** "the 150 g kind". */
  readonly packKind: Words;
  /** Before "150 g kind". */
  readonly beforePackKind: Words;
  /** "a pot of 125 g". */
  readonly ofSize: Words;
  /** Before what a mixture becomes. */
  readonly reaches: Words;
  /** Before what it looks like then. */
  readonly looks: Words;
  /** How large a lump of it is. */
  readonly large: Words;
  /** Small words between these and the thing. */
  readonly ofLook: Words;
  /** "the colour of weak tea". */
  readonly colour: Words;
  /** Right before what something is only like. */
  readonly like: Words;
  /** "2 to 1". */
  readonly ratioTo: Words;
  /** Behind "sprinkle" or "squeeze": they make a verb of it. */
  readonly object: Words;
  /** Before a number of eggs that nobody names. */
  readonly cracks: Words;
  /** Before a number that only points: "the five star mask". */
  readonly theBefore: Words;
  /** Nouns that are another thing with another word before them: "camel milk". */
  readonly headNoun: Words;
  /** The same, where the noun stands first: "leite de cabra". */
  readonly headNounFirst: Words;
  /** Behind them. */
  readonly ofNounFirst: Words;
  /** Before a place: "blend in a bowl". */
  readonly inPlace: Words;
  /** What is named behind tells when or why. */
  readonly tellsWhy: Words;
  /** Behind the amount of what is made of it: "linseed gel, 3 tbsp seeds". */
  readonly plantSource: Words;
  /** Of an essential oil. */
  readonly essential: Words;
  /** Of any oil. */
  readonly oil: Words;
  /** Of a juice. */
  readonly juice: Words;
  /** Before what was named already. */
  readonly theMade: Words;
  /** "eggs, their whites". */
  readonly its: Words;
  /** "strain, use the milk": what was strained off. */
  readonly strainedLiquid: Words;
  /** Before a vessel. */
  readonly inVessel: Words;
  /** What a mixture is made or kept in. */
  readonly vessel: Words;
  /** What was just named. */
  readonly pronoun: Words;
  /** Begins another step: what was done before does not govern any more. */
  readonly then: Words;
  /** "a cupful mixed with …". */
  readonly mixed: Words;
  /** "I use two spoons of it". */
  readonly takes: Words;
  /** Behind "mixed". */
  readonly mixedWith: Words;
  /** "2 tbsp of that": of what was made before. */
  readonly madeBefore: Words;
  /** Before it. */
  readonly of: Words;
  /** "2 tbsp of the gel". */
  readonly ofThe: Words;
  /** Behind what holds only then: what she does else. */
  readonly otherwise: Words;
  /** Right behind a name: how much of it, by eye. */
  readonly asMuch: Words;
  /** Behind "don't keep it": a limit, no denial. */
  readonly moreThan: Words;
  /** Before a number and a letter that tell how hair curls. */
  readonly ofCurl: Words;
  /** Right before what a mixture turns into. */
  readonly becomes: Words;
  /** What follows holds only then. */
  readonly if: Words;
  /** What was made before, where nothing else is named so. */
  readonly madeNoun: Words;
  /** "10 pods to 500 ml": of water, which nobody names. */
  readonly intoWater: Words;
  /** Between the ends of a range. */
  readonly range: Words;
  /** "not all of it, only half". */
  readonly onlySo: Words;
  /** "now just the one": a number. */
  readonly lessNow: Words;
  /** "the banana one": a mixture, not the fruit. */
  readonly oneOfKind: Words;
  /** Before it. */
  readonly beforeKind: Words;
  /** Before a tool. */
  readonly usedWith: Words;
  /** Before it, in a name such as "peneira de chá". */
  readonly ofTool: Words;
  /** "oil for an hour": a verb. */
  readonly forTime: Words;
  /** Before what is taken otherwise. */
  readonly choice: Words;
  /** "oil, usually argan". */
  readonly mostly: Words;
  /** No kind of oil: "the oil", "phase oil". */
  readonly oilOf: Words;
  /** Stands between a measure and its thing. */
  readonly beforeThing: Words;
  /** "flour of rice". */
  readonly nounOf: Words;
  /** "the white of one egg". */
  readonly eggPart: Words;
  /** "oil infused with". */
  readonly steeped: Words;
  /** "the oat thing": words for a mixture behind a word of its name. */
  readonly ownThing: Words;
  /** Before it. */
  readonly ownBefore: Words;
  /** "or it dries out": no other thing. */
  readonly elseThen: Words;
  /** Between a mixture and its number: "mask no. 4". */
  readonly numbered: Words;
  /** "Step 2". */
  readonly stepWord: Words;
  /** "… , o meu é". */
  readonly theMine: Words;
  /** What is her own, behind what others do. */
  readonly mine: Words;
  /** Before it. */
  readonly but: Words;
  /** Behind "I": as somebody else does. */
  readonly alike: Words;
  /** Who does it. */
  readonly i: Words;
  /** Between oil and plant where the noun stands first. */
  readonly ofSameNoun: Words;
  /** Before a part of a bottle. */
  readonly fills: Words;
  /** Before "oil": a treatment with it. */
  readonly bathOf: Words;
  /** "Sunday oils". */
  readonly oils: Words;
  /** What is done with oils alone. */
  readonly oiling: Words;
  /** A later sentence is of her own. */
  readonly ownAgain: Words;
  /** "If it dries crunchy I do the oat one": another time. */
  readonly ifElse: Words;
  /** "Swap the water for tea if you like". */
  readonly swaps: Words;
  /** What such an "if" is about. */
  readonly itsState: Words;
  /** Begins a question. */
  readonly asks: Words;
  /** What somebody else does. */
  readonly does: Words;
  /** "Crack two into a bowl": where it goes. */
  readonly intoBowl: Words;
  /** Between a noun and its plant. */
  readonly ofNoun: Words;
  /** On the hair, whatever was done before. */
  readonly sleeps: Words;
  /** "cold water at the end". */
  readonly atEnd: Words;
  /** "I'd call it protein". */
  readonly calls: Words;
  /** "it's a moisture thing". */
  readonly calledSo: Words;
  /** Behind minutes that nobody called so. */
  readonly behindMinutes: Words;
  /** "not a minute longer": no time of its own. */
  readonly notTime: Words;
  /** "to seventy". */
  readonly toDegrees: Words;
  /** It is put on the hair now: what rested before rested in the bowl. */
  readonly putsOn: Words;
  /** Behind a measure of nothing named: of water. */
  readonly waterState: Words;
  /** Before a cloth that something is pressed through. */
  readonly through: Words;
  /** Before a list of what it is of: "3 tbsp oils (castor, olive)". */
  readonly groupNoun: Words;
  /** "…, all grams": the unit of every number. */
  readonly all: Words;
  /** What washes. */
  readonly shampoo: Words;
  /** Done at the same time, elsewhere: "meanwhile". */
  readonly besideIt: Words;
  /** Behind a hyphen: "egg-sized", "tea-hot". */
  readonly compound: Words;
  /** How water is that something is rinsed with. */
  readonly lukewarm: Words;
  /** "as much honey as yogurt": before both. */
  readonly asMuchOf: Words;
  /** Between them. */
  readonly asMuchAs: Words;
  /** Behind a name: as much as is needed. */
  readonly asNeeded: Words;
  /** "the whole can", "a lata inteira". */
  readonly whole: Words;
  /** What form of a plant it is: alone it names nothing. */
  readonly formNoun: Words;
  /** Before a measure that has no number: to one of it. */
  readonly per: Words;
  /** A colour, or a part of an egg. */
  readonly white: Words;
  /** Behind a time: no longer. */
  readonly atMost: Words;
  /** What is done to a cloth with something in it. */
  readonly squeezes: Words;
  /** Before how a mixture looks in the end. */
  readonly until: Words;
  /** When what was on overnight is washed out. */
  readonly morning: Words;
  /** Where something is put to keep or to set. */
  readonly coldPlace: Words;
  /** Before what is made here: "this conditioner". */
  readonly thisMade: Words;
  /** Before what will be done. */
  readonly auxiliary: Words;
  /** Behind "then": with shampoo. */
  readonly washes: Words;
  /** "Part one is the oil". */
  readonly partWord: Words;
  /** What is made of any fruit: "raspberry vinegar". */
  readonly flavoured: Words;
  /** What is told here. */
  readonly recipeWord: Words;
  /** Cloths and sieves. */
  readonly strainers: Words;
  /** Of what is on the hair. */
  readonly onHair: Words;
  /** Told behind, done before: "strain first". */
  readonly reminds: Words;
  /** What a "piece" of a herb is. */
  readonly leafOrFlower: Words;
  /** "chá de alecrim": the herb is what goes in. */
  readonly ofHerb: Words;
  /** "gema de um ovo". */
  readonly ofEgg: Words;
  /** Behind a number. */
  readonly degrees: Words;
  /** Before what goes in. */
  readonly adds: Words;
  /** What is made of other things: above a list of them it is a title ("Rice water"). */
  readonly madeOf: Words;
  /** Words with which one begins to speak. */
  readonly filler: Words;
  /** Nouns for a mixture: before a dash they are a title. */
  readonly mixture: Words;
  /** "That's my ends butter". */
  readonly thatIs: Words;
  /** What somebody does is no title. */
  readonly somebody: Words;
  /** The name is over and the telling goes on. */
  readonly endsTitle: Words;
}
export type Mark = keyof Marks;

/** Under "marks" of data/reading; plain, as tokens have them. */
const MARKS: readonly Partial<Marks>[] = Object.values(LANGUAGES).map(({ marks }) => marks);

/** They hold whatever language the rest is in: tellings mix languages within a sentence. */
const WORDS = new Map<string, ReadonlySet<string>>();
for (const mark of Object.keys(LANGUAGES.en.marks) as Mark[])
  WORDS.set(mark, new Set(MARKS.flatMap((marks) => marks[mark] ?? [])));

/** Whether a plain word is of a mark. */
export const isMark = (word: string, mark: Mark): boolean => WORDS.get(mark)?.has(word) ?? false;

/** "Bierspülung": one word with what it is made of. */
const MIXTURE_ENDINGS: readonly string[] = LANGUAGES.de.mixtureEndings;

/** Whether a token is a noun for a mixture. */
export const namesMixture = (token: Token | undefined): boolean =>
  isWord(token) &&
  (isMark(token.word, 'mixture') || MIXTURE_ENDINGS.some((ending) => token.word.endsWith(ending)));

/** Whether a token is a word of a mark. */
export const says = (token: Token | undefined, mark: Mark): token is Token =>
  isWord(token) && isMark(token.word, mark);
