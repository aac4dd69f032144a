/* eslint-disable max-lines -- a list of words, nothing else */
/*
 * The commonest words of English: sizes 10 and 20 of SCOWL (Spell Checker Oriented Word Lists), British and American, letters only.
 * Copyright 2000-2016 by Kevin Atkinson: permission to use, copy, modify, distribute and sell these word lists is granted without fee,
 * provided that this notice is kept; they come "as is" without express or implied warranty.
 */
const WORDS = `
aardvark abandon abandoned abandoning abandons abbreviate abbreviated abbreviates abbreviating abbreviation abbreviations abide abilities ability able
abnormal abnormally abolish abolished abolishes abolishing abolition abort aborted aborting abortion aborts about above abroad absence absent absolute
absolutely absorb absorbed absorbing absorbs abstract abstraction absurd abuse abused abuses abusing abusive abysmal academic academics accelerate
accent accents accept acceptable acceptance accepted accepting accepts access accessed accesses accessible accessing accident accidental accidentally
accidents accommodate accommodation accompanied accompanies accompany accompanying accomplish accomplished accomplishes accomplishing accord
accordance accorded according accordingly accords account accountant accountants accounted accounting accounts accumulate accumulated accumulates
accumulating accuracy accurate accurately accusation accusations accuse accused accuses accusing accustom accustomed accustoming accustoms ace achieve
achieved achievement achievements achieves achieving acid acknowledge acknowledged acknowledges acknowledging acorn acoustic acquaintance acquire
acquired acquires acquiring acquisition acronym acronyms across act acted acting action actions activate activated activates activating active
actively activities activity actor actors acts actual actually acute adapt adaptation adapted adapter adapting adaptor adapts add added addict
addicted addicting addictive addicts adding addition additional additionally additions address addressed addresses addressing adds adequate adequately
adhere adhered adheres adhering adjacent adjective adjust adjusted adjusting adjustment adjustments adjusts administer administered administering
administers administration administrative admirable admiration admire admission admit admits admitted admittedly admitting adopt adopted adopting
adoption adopts adult adults advance advanced advances advancing advantage advantageous advantages advent adventure adventures adventurous adverse
adversely advert advertise advertised advertisement advertisements advertises advertising adverts advice advisable advise advised adviser advisers
advises advising advisory advocate advocated advocates advocating aerial aesthetic aesthetically affair affairs affect affected affecting affection
affects afford aforementioned afraid after afternoon afternoons afterward afterwards again against age aged ageing agency agenda agent agents ages
aggressive aging ago agony agree agreed agreeing agreement agreements agrees agricultural ahead aid aided aiding aids aim aimed aiming aims air
aircraft airport akin alarm alarmed alarming alarms alas albeit album albums alcohol alcoholic alert algebra algebraic algorithm algorithms alias
aliases alien aliens align aligned aligning alignment aligns alike alive all allegation allegations allege alleged allegedly alleges alleging allergic
alleviate alliance allies allocate allocated allocates allocating allocation allocations allow allowable allowance allowances allowed allowing allows
ally almost alone along alongside aloud alpha alphabet alphabetic alphabetical already also alter alteration alterations altered altering alternate
alternative alternatively alternatives alters although altogether always amateur amaze amazed amazes amazing amazingly ambassador amber ambient
ambiguities ambiguity ambiguous ambitious amend amended amending amendment amends among amongst amount amounts amp ample amplifier amuse amused
amusement amuses amusing anagram analog analogous analogue analogy analyse analysed analyses analysing analysis analyst analyze analyzed analyzes
analyzing anarchy anatomy ancestor ancestors ancient and anecdote anecdotes angel angels anger angle angles angry anguish animal animals anniversary
announce announced announcement announcements announces announcing annoy annoyance annoyed annoying annoys annual annually anomalies anomaly anonymous
anorak anoraks another answer answered answering answers anthology anticipate anticipated anticipates anticipating anticipation antidote antique
antisocial anxious any anybody anyhow anyone anyplace anything anyway anywhere apart apathetic apathy apologies apologise apologised apologises
apologising apologize apologized apologizes apologizing apology apostrophe appal appall appalled appalling appallingly appalls appals apparatus
apparatuses apparent apparently appeal appealed appealing appeals appear appearance appearances appeared appearing appears append appended appending
appendix appends applause apple applicable applicant applicants application applications applied applies apply applying appoint appointed appointing
appointment appointments appoints appraisal appreciate appreciated appreciates appreciating appreciation approach approached approaches approaching
appropriate appropriately approval approve approved approves approving approximate approximately approximation apt arbitrarily arbitrary arc arcade
arcane arch archaic architecture archive archived archives archiving are area areas arena arguable arguably argue argued argues arguing argument
arguments arise arisen arises arising arithmetic arm armed arming arms army arose around arrange arranged arrangement arrangements arranges arranging
array arrays arrest arrested arresting arrests arrival arrive arrived arrives arriving arrogance arrogant arrow arrows arse art article articles
artificial artificially artist artistic artists arts ascend ascended ascending ascends ash ashamed ashcan ashes aside ask asked asking asks asleep
aspect aspects ass assault assemble assembled assembler assembles assembling assembly assert asserted asserting assertion asserts assess assessed
assesses assessing assessment asset assets assign assigned assigning assignment assignments assigns assist assistance assistant assisted assisting
assists associate associated associates associating association associations assort assorted assorting assorts assume assumed assumes assuming
assumption assumptions assure assured assures assuring asterisk asterisks astronomer astronomers astronomy asynchronous ate atheism atheist atheists
atlas atmosphere atmospheric atom atomic atoms atrocities atrocity attach attached attaching attachment attack attacked attacking attacks attain
attempt attempted attempting attempts attend attendance attendant attended attending attends attention attentions attitude attitudes attorney
attorneys attract attracted attracting attraction attractive attracts attribute attributed attributes attributing audible audience audiences audio
aunt authentic author authorisation authorise authorised authorises authorising authorities authority authorization authorize authorized authorizes
authorizing authors autobiography automate automated automates automatic automatically automating automobile automobiles autumn availability available
average avoid avoided avoiding avoids await awaited awaiting awaits awake award awarded awarding awards aware awareness away awful awfully awkward axe
axes axiom axioms axis babies baby back backbone backed background backgrounds backing backlog backs backspace backward backwards bacteria bacterium
bad badge badly baffle baffled baffles baffling bag baggage bags bake baked bakes baking balance balanced balances balancing ball ballet ballot balls
ban banal banana bananas band bands bandwagon bandwidth bang bank bankrupt banks banned banner banning bans bar bare barely bargain bark barked
barking barks baroque barred barrel barrier barriers barring barrister barristers bars base based basement bases bash bashed bashes bashing basic
basically basics basing basis basket bass basses bastard bastards bat batch bath bathroom baths batteries battery battle baud bay beach beam bean
beans bear beard bearded bearding beards bearing bears beast beasts beat beaten beating beats beautiful beautifully beauty became because become
becomes becoming bed bedroom beds beef been beer beers before beforehand beg began begin beginner beginners beginning begins begun behalf behave
behaved behaves behaving behavior behaviour behind being beings belief beliefs believable believe believed believer believers believes believing bell
bells belong belonged belonging belongs beloved below belt bench bend bending bends beneath beneficial benefit benefits bent beside besides best bet
beta bets better betting between beware beyond bias biased biases biasing bible biblical bicycle bicycles bid bidding bids big bigger biggest bigot
bigoted bigotry bill billfold billion billions bills bin binary bind binding binds biochemistry biography biological biologist biologists biology bird
birds birth birthday biscuit biscuits bishop bit bite bites biting bitmap bits bitten bitter bizarre black blackboard blackmail blacks blade blades
blame blamed blames blaming blank blanket blanks blast blasted blasting blasts blatant blatantly bless blessed blesses blessing blew blind blindly
blink bliss blob block blocked blocking blocks blood bloody blow blowing blown blows blue blues blurb board boards boat boats bob bobs bodies body bog
bogged bogging boggle boggles bogs bogus boil boiled boiling boils bold bolt bomb bombed bombing bombs bond bone bones bonus book booked booking
booklet books bookshop bookshops bookstore boom boost boot boots border borderline bore bored boredom bores boring born borne borrow borrowed
borrowing borrows boss both bother bothered bothering bothers bottle bottles bottom bought bounce bound boundaries boundary bounds bout bow bowl box
boxes boy boys bracket bracketed bracketing brackets brain brains brake brakes branch branches brand branded branding brands brass brave breach bread
break breakdown breakfast breaking breaks breath breathe breathed breathes breathing bred breed breeding breeds breeze brethren brick bricks bridge
bridges brief briefly brigade bright brighter brightest brightly brightness brilliant brilliantly bring bringing brings broad broadcast broadcasting
broadcasts broadly broke broken brother brothers brought brown browse browsed browses browsing brush brutal bubble buck bucket bucks budget buffer
buffered buffering buffers bug bugger buggers bugs build building buildings builds built bulb bulbs bulk bull bullet bulletin bullets bump bunch
bundle burden bureaucracy buried buries burn burned burning burns burnt burst bursting bursts bury burying bus buses bush business businesses buss
busses bust busy but butter button buttons buy buyer buyers buying buys bye bypass byte bytes cabbage cabinet cable cabled cables cabling caffeine
cage cake cakes calculate calculated calculates calculating calculation calculations calculator calculus calendar call called caller calling calls
calm cam came camera cameras camp campaign campaigned campaigning campaigns camps campus can cancel canceled canceling cancelled cancelling cancels
cancer candidate candidates cannot canonical cans cant cap capabilities capability capable capacity capital capitalism capitalist capitals caps
captain capture captured captures capturing car carbon card cardboard cards care cared career careers careful carefully careless cares caring carpet
carriage carried carrier carries carrot carrots carry carrying cars cartoon cartoons cartridge cartridges case cased cases cash casing cassette
cassettes cast casting castle casts casual cat catalog catalogs catalogue catalogues catastrophic catch catches catching categorically categories
category cater catered catering caters cathedral catholic cats cattle caught causal causality cause caused causes causing caution cave caveat cease
ceased ceases ceasing ceiling celebrate celebrated celebrates celebrating celebration cell cells cellular censor censored censoring censors censorship
cent center centered centering centers central centrally centre centred centres centring centuries century ceremony certain certainly certainty
certificate chain chains chair chairman chairs chalk challenge challenged challenges challenging chamber champagne champion chance chancellor chances
change changed changeover changes changing channel channels chaos chaotic chap chapel chaps chapter chapters char character characteristic
characteristics characters charge charged charges charging charitable charities charity charm charmed charming charms chars chart charter charts chase
chased chases chasing chat chats chatted chatting cheap cheaper cheapest cheaply cheat cheated cheating cheats check checked checker checking checks
cheek cheer cheerful cheers cheese chemical chemicals chemist chemistry chemists cheque chequed chequer cheques chequing chess chest chestnut chew
chewed chewing chews chicken chickens chief child childhood childish children chip chips chocolate choice choices choir choose chooses choosing chop
chopped chopping chops choral chord chorus chose chosen chuck chucked chucking chucks chunk chunks church churches cider cigarette cinema circa circle
circles circuit circuitry circuits circular circulate circulated circulates circulating circulation circumstance circumstances cite cited cites cities
citing citizen citizens city civil civilian civilisation civilise civilised civilises civilising civilization civilize civilized civilizes civilizing
claim claimed claiming claims clarification clarified clarifies clarify clarifying clarity clash clashes class classed classes classic classical
classics classification classified classifies classify classifying classing clause clauses clean cleaned cleaner cleaners cleanest cleaning cleanly
cleans clear clearance cleared clearer clearest clearing clearly clears clever cleverer cleverest click client clients cliff climate climb climbed
climbing climbs clinic clinical clip clipped clipping clips clique clock clocks clog clone clones close closed closely closer closes closest closet
closing closure cloth clothe clothed clothes clothing cloud clouds club clubs clue clues clumsy cluster clusters coach coal coarse coast coat coats
cobbler cobblers code coded codes coding coffee coherent coin coincide coincidence coined coining coins coke cold collaboration collapse collapsed
collapses collapsing collar collate collated collates collating colleague colleagues collect collected collecting collection collections collective
collects college colleges colon colony color colored coloring colors colour coloured colouring colours column columns combat combination combinations
combine combined combines combining come comedy comes comfort comfortable comfortably comic comics coming comma command commandment commandments
commands commas commence comment commentary commentator commentators commented commenting comments commercial commercially commission commissioned
commissioning commissions commit commitment commitments commits committed committee committees committing commodity common commonly commons communal
communicate communicated communicates communicating communication communications communism communist communists communities community compact
companies companion company comparable comparative comparatively compare compared compares comparing comparison comparisons compassion compatibility
compatible compel compelled compelling compels compensate compensation compete competed competence competent competes competing competition
competitive competitor competitors compilation compile compiled compiler compilers compiles compiling complacent complain complained complaining
complains complaint complaints complement complementary complete completed completely completeness completes completing completion complex complexity
complicate complicated complicates complicating complication complications compliment comply component components compose composed composer composers
composes composing composite composition compound comprehend comprehensible comprehension comprehensive compress compressed compresses compressing
compression comprise comprised comprises comprising compromise compulsion compulsory computation computational compute computed computer computerise
computerised computerises computerising computerize computerized computerizes computerizing computers computes computing con concatenate concatenated
concatenates concatenating conceal concealed concealing conceals concede conceivable conceivably conceive conceived conceives conceiving concentrate
concentrated concentrates concentrating concentration concept conception concepts conceptual concern concerned concerning concerns concert concerto
concerts concise conclude concluded concludes concluding conclusion conclusions concrete concur concurrently condemn condemnation condemned condemning
condemns condense condensed condenses condensing condition conditional conditioned conditioning conditions condom condone conduct conducted conducting
conductor conducts conference conferences confess confidence confident confidential confidentiality configuration configurations configure configured
configures configuring confine confined confines confining confirm confirmation confirmed confirming confirms conflict conflicted conflicting
conflicts conform confront confronted confronting confronts confuse confused confuses confusing confusion congest congested congesting congestion
congests congratulate congratulations conjecture conjunction connect connected connecting connection connections connector connects connotation
connotations conscience conscious consciously consciousness consecutive consensus consent consented consenting consents consequence consequences
consequent consequently conservation conservative conservatives consider considerable considerably considerate consideration considerations considered
considering considers consist consisted consistency consistent consistently consisting consists consolation console conspicuous conspiracy constant
constantly constants constituency constituent constituents constitute constitutes constitution constitutional constrain constrained constraining
constrains constraint constraints construct constructed constructing construction constructions constructive constructs consult consultancy consultant
consultants consultation consulted consulting consults consume consumed consumer consumes consuming consumption contact contacted contacting contacts
contain contained container containing contains contemplate contemplated contemplates contemplating contemporary contempt contend content contention
contentious contents contest context contexts continent continental continual continually continuation continuations continue continued continues
continuing continuity continuous continuously continuum contour contraception contract contracted contracting contracts contradict contradicted
contradicting contradiction contradictory contradicts contrary contrast contravention contribute contributed contributes contributing contribution
contributions contributor contributors contrive contrived contrives contriving control controlled controller controllers controlling controls
controversial controversy convenience convenient conveniently convention conventional conventions conversation conversations converse conversely
conversion conversions convert converted converter converting converts convey convict convicted convicting conviction convictions convicts convince
convinced convinces convincing convincingly cook cooked cookie cookies cooking cooks cool cooled cooling cools cooperate cooperation coordinate
coordinates coordination cope coped copes copied copies coping copper copy copying copyright core corn corner corners corporate corporation corpse
corpses correct corrected correcting correction corrections correctly corrects correlate correlation correspond corresponded correspondence
correspondent corresponding corresponds corridor corrupt corrupted corrupting corruption corrupts cosmic cosmology cost costed costing costly costs
cosy cotton cough could council councils counsel counseled counseling counselled counselling counsels count counted counter counterexample counterpart
counterparts counting countless countries country countryside counts county couple coupled couples coupling courage courier course courses court
courtesy courts cousin cover coverage covered covering covers cow cows cozy crack cracked cracking cracks craft cramp cramped cramping cramps crap
crash crashed crashes crashing crass crawl crawled crawling crawls crazy cream create created creates creating creation creative creator creature
creatures credibility credible credit credits creed creep crew cricket cried cries crime crimes criminal criminals crisis crisp crisps criteria
criterion critic critical criticise criticised criticises criticising criticism criticisms criticize criticized criticizes criticizing critics crop
crops cross crossed crosses crossing crossroad crossroads crossword crowd crowded crowding crowds crown crucial crude cruel cruelty cruise cruised
cruises cruising crunch crunched crunches crunching crush crushed crushes crushing cry crying cryptic crystal crystals cube cubic cuckoo cuddly cue
culprit cult cultural culture cultures cumbersome cumming cums cumulative cunning cup cupboard cups cure cured cures curing curiosity curious
curiously curly currency current currently curriculum curry curse cursor curtain curtains curve curves custard custom customary customer customers
customs cut cute cuts cutting cycle cycled cycles cycling cyclist cyclists cylinder cynic cynical daft daily damage damaged damages damaging damn
damnation damned damning damns damp dance danced dances dancing danger dangerous dangerously dangers dare dared dares daring dark darkness darling
dash dashed dashes dashing data database databases date dated dates dating datum daughter dawn day daylight days daytime dead deadline deadly deaf
deal dealer dealers dealing deals dealt dear death deaths debatable debate debated debates debating debt debug debugged debugger debugging debugs
decade decades decay decent decide decided decides deciding decimal decision decisions deck declaration declarations declare declared declares
declaring decline declined declines declining decode decoded decodes decoding decrease decreased decreases decreasing dedicate dedicated dedicates
dedicating deduce deduced deduces deducing deduction deductions deed deeds deem deemed deeming deems deep deeper deepest deeply default defaults
defeat defeated defeating defeats defect defective defects defence defend defended defending defends defense defensive deficiencies deficiency define
defined defines defining definite definitely definition definitions definitive defy degenerate degradation degrade degraded degrades degrading degree
degrees deity delay delayed delaying delays delete deleted deletes deleting deletion deliberate deliberately delicate delicious delight delighted
delightful delighting delights delimiters deliver delivered delivering delivers delivery delta delusion demand demanded demanding demands demented
demise democracy democratic democratically demolish demolished demolishes demolishing demonstrate demonstrated demonstrates demonstrating
demonstration demonstrations denied denies denominator denote denotes dense density dentist deny denying department departmental departments departure
depend dependant depended dependence dependent depending depends deposit depress depressed depresses depressing depression deprive deprived deprives
depriving depth depths deputy derange deranged deranges deranging derivative derive derived derives deriving derogatory descend descended descending
descends describe described describes describing description descriptions descriptive desert deserted deserting deserts deserve deserved deserves
deserving design designate designated designates designating designed designer designers designing designs desirable desire desired desires desiring
desk desktop despair desperate desperately despise despite destination destine destined destines destining destroy destroyed destroying destroys
destruction destructive detach detached detaches detaching detail detailed detailing details detect detectable detected detecting detection detective
detector detects deter determination determine determined determines determining deterrent detract devastate devastated devastates devastating develop
developed developer developers developing development developments develops deviation device devices devil devious devise devised devises devising
devoid devote devoted devotes devoting diagnosis diagnostic diagnostics diagonal diagram diagrams dial dialect dialects dialed dialing dialings
dialled dialling diallings dialog dialogue dials diameter diary dice dictate dictator dictatorship dictionaries dictionary did die died dies diesel
diet differ differed difference differences different differential differentiate differently differing differs difficult difficulties difficulty dig
digest digging digit digital digits dignity digs dilemma dim dimension dimensional dimensions dine dined diner dines dining dinner dip diplomatic dire
direct directed directing direction directions directive directives directly director directories directors directory directs dirt dirty disable
disabled disables disabling disadvantage disadvantages disagree disagreed disagreeing disagreement disagrees disappear disappeared disappearing
disappears disappoint disappointed disappointing disappointment disappoints disaster disasters disastrous disc discard discarded discarding discards
discharge disciplinary discipline disclaimer disco disconnect disconnected disconnecting disconnects discontinue discontinued discontinues
discontinuing discount discounts discourage discouraged discourages discouraging discover discovered discoveries discovering discovers discovery
discrepancy discrete discretion discriminate discriminated discriminates discriminating discrimination discs discuss discussed discusses discussing
discussion discussions disease diseases disguise disguised disguises disguising disgust disgusted disgusting disgusts dish dishes dishonest disk
dislike disliked dislikes disliking dismal dismiss dismissed dismisses dismissing disorder display displayed displaying displays disposable disposal
dispose disposed disposes disposing disposition dispute disregard disrupt disruption dissertation dissimilar distance distances distant distasteful
distinct distinction distinctions distinctive distinctly distinguish distinguished distinguishes distinguishing distort distorted distorting
distortion distorts distract distracted distracting distracts distress distressed distresses distressing distribute distributed distributes
distributing distribution district disturb disturbance disturbed disturbing disturbs ditch ditto dive dived diverse diversity divert diverted
diverting diverts dives divide divided divides dividing divine diving division divisions divorce doctor doctors doctrine document documentary
documentation documented documenting documents dodge doe does dog dogma dogs doing dole dollar dollars domain domestic dominant dominate dominated
dominates dominating don donate donated donates donating donation donations done dons doom doomed dooming dooms door doors dose doses dot dots dotted
dotting double doubled doubles doubling doubt doubtful doubtless doubts down downhill downright downstairs downwards dozen dozens draft drafted
drafting drafts drag dragged dragging dragon drags drain drained draining drains drama dramatic dramatically drank drastic drastically draught
draughts draw drawback drawbacks drawing drawings drawn draws dread dreaded dreadful dreading dreads dream dreamed dreaming dreams dreamt dreary dress
dressed dresses dressing drew dried dries drift drill drink drinking drinks drip dripped dripping drips drive drivel driven driver drivers drives
driving drop dropped dropping drops drove drown drowned drowning drowns drug drugs drum drums drunk drunken dry drying dual dubious duck ducks due
duff dug dull duly dumb dummy dump dumped dumping dumps dumpster duplicate duplicated duplicates duplicating duplication duration during dust dustbin
dusty duties duty dying dynamic dynamically dynamics each eager eagerly eagle ear earlier earliest early earn earned earning earns ears earth ease
easier easiest easily east eastern easy eat eaten eater eating eats eccentric echo echoed echoes echoing ecological ecology economic economical
economically economics economies economy edge edges edit edited editing edition editions editor editorial editors edits educate educated educates
educating education educational effect effective effectively effectiveness effects efficiency efficient efficiently effort efforts egg eggs ego egos
eight eighteen eighth either elaborate elderly elect elected electing election elections electoral electorate electric electrical electricity electron
electronic electronically electronics elects elegant element elementary elements elephant elephants elevator elevators eleven eligible eliminate
eliminated eliminates eliminating elite elitist else elsewhere embarrass embarrassed embarrasses embarrassing embarrassment embed embedded embedding
embeds emerge emerged emergency emerges emerging eminent eminently emit emotion emotional emotionally emotions emphasis emphasise emphasised
emphasises emphasising emphasize emphasized emphasizes emphasizing empire empirical employ employed employee employees employer employers employing
employment employs emptied empties empty emptying emulate emulation emulator emulators enable enabled enables enabling enclose enclosed encloses
enclosing encode encoded encodes encoding encounter encountered encountering encounters encourage encouraged encouragement encourages encouraging end
endeavor endeavour ended ending endings endless endlessly ends enemies enemy energy enforce enforced enforces enforcing engage engaged engages
engaging engine engineer engineered engineering engineers engines enhance enhanced enhancement enhances enhancing enjoy enjoyable enjoyed enjoying
enjoyment enjoys enlarge enlarged enlarges enlarging enlighten enlightened enlightening enlightenment enlightens enormous enormously enough enquire
enquired enquires enquiries enquiring enquiry ensure ensured ensures ensuring entail entails enter entered entering enterprise enters entertain
entertained entertaining entertainment entertains enthusiasm enthusiastic entire entirely entirety entities entitle entitled entitles entitling entity
entrance entries entry envelope envelopes environment environmental environments envisage envisaged envisages envisaging envy epic episode episodes
equal equality equally equals equate equation equations equilibrium equip equipment equipped equipping equips equivalent equivalents era erase erased
eraser erases erasing ergo err erroneous error errors escape escaped escapes escaping esoteric especially essay essays essence essential essentially
establish established establishes establishing establishment establishments estate estimate estimated estimates estimating estimation eternal eternity
ethic ethical ethics ethnic etymology evaluate evaluated evaluates evaluating evaluation even evened evening evenings evenly evens event events
eventual eventually ever every everybody everyday everyone everything everywhere evidence evident evidently evil evils evolution evolutionary evolve
evolved evolves evolving exact exactly exaggerate exaggerated exaggerates exaggerating exam examination examine examined examiner examines examining
example examples exams exceed exceeded exceeding exceedingly exceeds excellent except excepted excepting exception exceptional exceptionally
exceptions excepts excess excessive excessively exchange exchanged exchanges exchanging excite excited excitement excites exciting exclamation exclude
excluded excludes excluding exclusion exclusive exclusively excuse excuses executable execute executed executes executing execution executive exempt
exercise exercised exercises exercising exhaust exhausted exhausting exhaustive exhausts exhibit exhibition exist existed existence existing exists
exit exited exiting exits exotic expand expanded expanding expands expansion expect expectation expectations expected expecting expects expedition
expenditure expense expenses expensive experience experienced experiences experiencing experiment experimental experimentally experimentation
experimented experimenting experiments expert expertise experts expire expired expires expiring expiry explain explained explaining explains
explanation explanations explanatory explicit explicitly explode exploded explodes exploding exploit exploitation exploited exploiting exploits
exploration explore explored explores exploring explosion explosions explosive exponential export expose exposed exposes exposing exposure express
expressed expresses expressing expression expressions expressway expressways extant extend extended extending extends extension extensions extensive
extensively extent extents external externally extinction extra extract extracted extracting extraction extracts extraneous extraordinarily
extraordinary extras extreme extremely extremes extremist eye eyes eyesight fabric face faced faces facilitate facilities facility facing fact factor
factories factors factory facts factual factually faculties faculty fail failed failing fails failure failures faint fainter faintest fair fairer
fairest fairly fairness fairy faith faithful fake fall fallacious fallacy fallen falling falls false fame familiar familiarity families family famine
famous fan fancy fans fantasies fantastic fantasy far farce fare farewell farm farmer farmers farther farthest fascinate fascinated fascinates
fascinating fascist fashion fashionable fashioned fashioning fashions fast faster fastest fat fatal fate father fathers fatuous faucet fault faults
faulty favor favorable favored favoring favorite favorites favors favour favourable favoured favouring favourite favourites favours fear feared
fearing fears feasibility feasible feat feature featured features featuring fed federal fee feeble feed feedback feeding feeds feel feeling feelings
feels fees feet fell fellow fellows felt female females feminist feminists fence fender fenders festival fetch fever few fewer fewest fiber fibers
fibre fibres fiction fictional fiddle fiddled fiddles fiddling field fields fierce fifteen fifth fifty fight fighter fighting fights figure figured
figures figuring file filed files filing fill filled filling fills film filmed filming films filter filtered filtering filters filthy final finalise
finalised finalises finalising finalize finalized finalizes finalizing finally finals finance finances financial financially find finding findings
finds fine fined finer fines finest finger fingers fining finish finished finishes finishing finite fire fired fires firework fireworks firing firm
firmly firms first firstly fiscal fish fished fishes fishing fit fits fitted fitting five fiver fix fixed fixes fixing fizzy flag flagged flagging
flags flame flames flash flashed flashes flashing flat flavor flavour flaw flawed flawing flaws fleet flesh flew flexibility flexible flied flies
flight flip flipped flipping flips float floated floating floats flood flooded flooding floods floor floors floppy flour flow flowed flower flowers
flowing flown flows fluctuation fluctuations fluent fluffy fluid flush flushed flushes flushing flute fly flying foam focus fog fold folded folder
folders folding folds folk folks follow followed follower followers following follows fond font fonts food foods fool fooled fooling foolish fools
foot football footnote footnotes for forbade forbid forbidden forbidding forbids force forced forces forcibly forcing forecast forecasting forecasts
foreign foreigner foreigners foreseeable forest forests forever forgave forget forgets forgetting forgive forgiven forgives forgiving forgot forgotten
fork form formal formally format formation formats formatted formatting formed former formerly forming forms formula formulae formulation forth
forthcoming fortnight fortunate fortunately fortune forty forum forward forwarded forwarding forwards fossil fought foul found foundation foundations
founded founding founds fountain four fourteen fourth fraction fractions fragile fragment fragments frame frames framework frank frankly frantic fraud
freak freaks free freed freedom freeing freely frees freeway freeways freeze freezes freezing french frequencies frequency frequent frequently fresh
friction fried friend friendly friends friendship fries frighten frightened frightening frightens fringe frivolous frog frogs from front frown frowned
frowning frowns froze frozen fruit fruits frustrate frustrated frustrates frustrating frustration fry frying fudge fuel fulfil fulfill fulfilled
fulfilling fulfills fulfils full fuller fullest fully fume fumes fun function functional functionality functioned functioning functions fund
fundamental fundamentalist fundamentally funded funding funds funeral funnier funniest funny fur furniture furry further furthermore furthest fuse
fusion fuss fussy futile future fuzzy gain gained gaining gains galactic galaxy game games gang gap gaps garage garbage garble garbled garbles
garbling garden gardens gas gasoline gasp gate gates gateway gather gathered gathering gathers gave gay gear geared gearing gears gender gene general
generalisation generalisations generalise generalised generalises generalising generalization generalizations generalize generalized generalizes
generalizing generally generate generated generates generating generation generations generator generators generic generous genes genetic genetically
genetics genius genocide genre gentle gentleman gentlemen gently genuine genuinely geographical geography geology geometry gesture get gets getting
ghastly ghost giant gibberish gift gifts gig gin girl girlfriend girls give given gives giving glad gladly glance glass glasses glean gleaned gleaning
gleans global globally glorious glory glossy glove gloves glow glowed glowing glows glue gnome goal goals goat god gods goes going gold golden
goldfish goldfishes golf gone good goodbye goodies goodness goods goody gorgeous gospel gossip got gotten govern governed governing government
governments governor governs gown grab grabbed grabbing grabs grace grade grades gradual gradually graduate graduated graduates graduating graduation
graffiti graffito grain grammar grammatical grand grandfather grandmother grands grant granted granting grants graph graphic graphical graphics graphs
grasp grass grateful gratefully gratuitous gratuitously grave gravitational gravity gray greasy great greater greatest greatly greed greedy green grew
grey grid grief grim grind grinding grinds grip grips groan gross grosses grossly ground grounds group grouped grouping groups grow growing grown
grows growth guarantee guaranteed guaranteeing guarantees guard guarded guarding guards guess guessed guesses guessing guest guests guidance guide
guided guideline guidelines guides guiding guilt guilty guinea guitar gulf gullible gum gun guns gut guts gutter guy guys habit habits hack hacked
hacker hackers hacking hacks had hail hair haircut hairs hairy half hall halls halt halted halting halts halve halves ham hammer hand handbook handed
handful handicap handing handle handled handler handles handling hands handy hang hanged hanging hangover hangs happen happened happening happens
happier happiest happily happiness happy hard hardback harden hardened hardening hardens harder hardest hardly hardship hardware hardy harm harmful
harmless harmony harsh has hash hassle hasten hasty hat hate hated hates hating hatred hats have having havoc hay hazard hazards hazy head headache
headed header headers heading headline headlines heads health healthy heap hear heard hearing hears heart heartily hearts heat heated heating heats
heaven heavens heavier heaviest heavily heavy heel heels height heights held helicopter hell hello helmet help helped helpful helping helpless helps
hence henceforth her herd here hereby heresy heritage hero heroes heroic heroin herring herrings herself hes hesitate heterosexual hexadecimal hey hid
hidden hide hided hideous hideously hides hiding hierarchical hierarchy high higher highest highlight highlighted highlighting highlights highly
highway highways hilarious hill hills him himself hindsight hint hinted hinting hints hip hire hired hires hiring his historian historians historic
historical historically history hit hitherto hits hitting hobby hog hold holder holders holding holds hole holes holiday holidays hollow holy home
homes homosexual homosexuality honest honestly honesty honey honor honorary honored honoring honors honour honoured honouring honours hook hooked
hooking hooks hope hoped hopeful hopefully hopeless hopelessly hopes hoping horde hordes horizon horizontal horizontally horn horrendous horrendously
horrible horribly horrid horrific horrified horrifies horrify horrifying horror horse horses hospital hospitals host hostile hosts hot hotel hour
hours house housed household houses housing how however huge hugely huh hum human humane humanity humans humble humbly humor humorous humour hundred
hundreds hung hungry hunt hunted hunting hunts hurry hurt hurting hurts husband hut hydrogen hyphen hypocrisy hypocrite hypocritical hypothesis
hypothetical hysterical ice icon icons idea ideal idealistic ideally ideals ideas identical identically identification identified identifier
identifiers identifies identify identifying identity ideological ideology idiom idiosyncratic idiot idiotic idiots idle ignorance ignorant ignore
ignored ignores ignoring ill illegal illegally illiterate illness illogical illusion illustrate illustrated illustrates illustrating illustration
illustrations image images imaginary imagination imaginative imagine imagined imagines imagining imbalance immature immediate immediately immense
immensely imminent immoral immortal immune impact impair impaired impairing impairs impend impended impending impends imperative imperfect imperial
impersonal implausible implement implementation implementations implemented implementing implements implication implications implicit implicitly
implied implies imply implying import importance important importantly imported importing imports impose imposed imposes imposing impossible
impractical impress impressed impresses impressing impression impressions impressive imprison imprisoned imprisoning imprisons improbable improve
improved improvement improvements improves improving impulse inability inaccessible inaccuracies inaccuracy inaccurate inadequate inadvertently inane
inappropriate incapable incarnation incentive inch inches incidence incident incidental incidentally incidents inclination incline inclined inclines
inclining include included includes including inclusion inclusive incoherent income incoming incompatible incompetence incompetent incomplete
incomprehensible inconsistencies inconsistency inconsistent inconvenience inconvenienced inconveniences inconveniencing inconvenient incorporate
incorporated incorporates incorporating incorrect incorrectly increase increased increases increasing increasingly incredible incredibly increment
incur incurred incurring incurs indeed indefensible indefinite indefinitely indent independence independent independently indeterminate index indexed
indexes indexing indicate indicated indicates indicating indication indications indicative indicator indicators indictment indirect indirection
indirectly indistinguishable individual individually individuals induce induced induces inducing induction indulge indulged indulges indulging
industrial industries industry ineffective inefficiency inefficient inequality inertia inevitable inevitably inexperienced infallible infamous infant
infantile infect infected infecting infection infects infelicity infer inference inferior inferiority infinite infinitely infinity inflation
inflexible inflict influence influenced influences influencing influential info inform informal informally information informative informed informing
informs infrastructure infrequent infringement ingenious ingredient ingredients inhabit inhabitant inhabitants inhabited inhabiting inhabits inherent
inherently inherit inheritance inherited inheriting inherits inhibit inhibited inhibiting inhibition inhibits initial initialisation initialise
initialised initialises initialising initialization initialize initialized initializes initializing initially initials initiate initiated initiates
initiating initiative inject injure injured injures injuries injuring injury injustice ink inner innocence innocent innovation innovative input inputs
inputted inputting inquire inquired inquires inquiries inquiring inquiry insane insect insects insecure insensitive insert inserted inserting
insertion inserts inside insidious insight insignificant insist insisted insistence insisting insists insofar inspect inspected inspecting inspection
inspects inspiration inspire inspired inspires inspiring install installation installations installed installing installs instance instances instant
instantly instead instinct institute institution institutions instruct instructed instructing instruction instructions instructs instrument
instrumental instruments insufficient insult insulted insulting insults insurance intact intake integer integers integral integrate integrated
integrates integrating integration integrity intellect intellectual intelligence intelligent intend intended intending intends intense intensely
intensity intensive intent intention intentional intentionally intentions inter interact interacted interacting interaction interactions interactive
interactively interacts intercourse interest interested interesting interestingly interests interface interfaced interfaces interfacing interfere
interfered interference interferes interfering interim interior intermediate intermittent internal internally internals international interpret
interpretation interpretations interpreted interpreter interpreting interprets interrogate interrupt interrupted interrupting interruption
interruptions interrupts intersection intersections interval intervals intervene intervened intervenes intervening intervention interview interviewed
interviewing interviews intimate into intolerance intrinsic intrinsically introduce introduced introduces introducing introduction introductory
intuitive invade invaded invades invading invalid invalidate invaluable invariably invasion invent invented inventing invention inventions inventor
invents inverse invert inverted inverting inverts invest investigate investigated investigates investigating investigation investigations investment
invisible invitation invite invited invites inviting invoke invoked invokes invoking involve involved involvement involves involving ion irate iron
ironic irony irrational irrelevant irrespective irresponsible irritate irritated irritates irritating irritation island islands isolate isolated
isolates isolating isolation issue issued issues issuing item items its itself jack jacket jackets jail jam jammed jamming jams jargon jazz jealous
jeans jellies jelly jerk jest jet job jobs join joined joining joins joint jointly joints joke joked jokes joking jolly journal journalist journalists
journals journey joy judge judged judgement judgements judges judging judgment judgments juice jump jumped jumping jumps junction jungle junior junk
jury just justice justifiable justifiably justification justified justifies justify justifying juvenile keen keep keeper keeping keeps ken kept kernel
kettle key keyboard keyboards keyed keying keys keystroke keystrokes keyword keywords kick kicked kicking kicks kid kidded kidding kidnap kidnapped
kidnapping kidnaps kidney kids kill killed killer killing kills kind kindly kindness kinds king kingdom kings kiss kit kitchen kits knee knees knew
knife knight knock knocked knocking knocks know knowing knowledge known knows lab label labeled labeling labelled labelling labels labor laboratory
labour labs lack lacked lacking lacks lad ladder ladies lady lag lager laid lain lake lamp land landed landing landlord lands landscape lane language
languages large largely larger largest lark laser lasers last lasted lasting lasts late lately later latest latter laugh laughed laughing laughs
laughter launch launched launches launching lavatory law lawn laws lawyer lawyers lay layer layers laying layout lays laziness lazy leach lead leaded
leader leaders leadership leading leads leaf leaflet leaflets league leak lean leaned leaning leans leap learn learned learning learns learnt least
leather leave leaved leaves leaving lecture lectured lecturer lecturers lectures lecturing led left leg legal legally legend legendary legible
legislation legitimate legitimately legs leisure lemon lend lending lends length lengths lengthy lenient lens lenses lent lesbian less lesser lesson
lessons lest let lethal lets letter letters letting level levels liability liable liaison libel liberal liberties liberty librarian libraries library
licence licences license licensed licenses licensing lid lie lied lies life lifestyle lifetime lift lifted lifting lifts light lighted lighter
lightest lighting lightly lightning lightninged lightnings lights like liked likelihood likely likes likewise liking limb limbs limit limitation
limitations limited limiting limits line linear lined lines linguistic lining link linkage linked linking links lion lip lips liquid liquor lisp list
listed listen listened listener listening listens listing listings lists lit liter literal literally literary literate literature litre litter little
live lived lively liver lives livest living load loaded loader loading loads loan loans lobby local locally locals locate located locates locating
location locations lock locked locking locks lodge log logged logging logic logical logically logo logs lonely long longer longest look looked looking
looks loop loophole loops loose loosely lord lords lorries lorry lose loses losing loss losses lost lot lots loud louder loudest loudly lousy love
loved lovely lover lovers loves loving low lower lowered lowering lowers lowest loyal luck luckily lucky ludicrous ludicrously luggage lump lumps
lunatic lunch lunchtime lung lungs lurk lurked lurking lurks lust luxury lying lyric lyrics machine machinery machines mad made madness magazine
magazines magic magical magnetic magnificent magnitude mail mailbox mailed mailing mails main mainframe mainframes mainly mains mainstream maintain
maintained maintaining maintains maintenance maize major majority make maker makers makes making male males malfunction malicious man manage managed
management manager managers manages managing mandate mandatory mangle mangled mangles mangling mania manifestation manifestly manifesto manipulate
manipulated manipulates manipulating manipulation mankind manned manner manning manpower mans manual manually manuals manufacture manufactured
manufacturer manufacturers manufactures manufacturing many map mapped mapping maps march margin marginal marginally margins marital mark marked marker
markers market marketed marketing markets marking marks marriage married marries marry marrying marvellous marvelous mask mass masses massive
massively master masters match matched matches matching mate material materials mathematical mathematically mathematician mathematicians mathematics
matrices matrix matter matters mature maximise maximize maximum may maybe mayor maze meal meals mean meaning meaningful meaningless meanings means
meant meantime meanwhile measure measured measurement measurements measures measuring meat mechanic mechanical mechanics mechanism mechanisms media
medical medicine medieval medium mediums meet meeting meetings meets megabyte megabytes melody melt member members membership memorable memories
memory men mend mended mending mends mental mentality mentally mention mentioned mentioning mentions menu menus mercury mercy mere merely merge merged
merges merging merit merits merry mess message messages messed messes messing messy met metal metaphor meter meters method methods metre metres metric
metro metros mice microcomputer microcomputers microprocessor microwave midday middle midnight might mighty migrate migrated migrates migrating
migration mild mildly mile mileage miles military milk mill million millions mimic mind minded minding mindless minds mine mined mines minimal
minimalist minimise minimize minimum mining minister ministers minor minorities minority mint minus minute minutes miracle miracles miraculous mirror
mirrors miscellaneous misdirect misdirected misdirecting misdirects miserable miserably misery misfortune misguide misguided misguides misguiding
misinterpret misinterpreted misinterpreting misinterprets mislead misleading misleads misled misplace misplaced misplaces misplacing misprint misread
misreading misreads misrepresent misrepresented misrepresenting misrepresents miss missed misses missile missiles missing mission mist mistake
mistaken mistakenly mistakes mistaking mistook mists misunderstand misunderstanding misunderstands misunderstood misuse mix mixed mixes mixing mixture
mnemonic moan moaned moaning moans mob mobile mock mod mode model modeled modeling modelings modelled modelling modellings models moderate moderately
moderation modern modes modest modification modifications modified modifies modify modifying module modules mold mole molecular molecule molecules mom
moment momentarily moments momentum monarch money monitor monitored monitoring monitors monkey monkeys monochrome monopoly monster monsters month
monthly months mood moon moons moral morality morally morals more moreover morning mornings moron morons mortal mortality mortals most mostly mother
mothers motion motions motivate motivated motivates motivating motivation motive motives motor motors motorway motorways motto mould mount mountain
mountains mounted mounting mounts mouse mouth move moved movement movements moves movie movies moving much muck mucked mucking mucks mud muddle
muddled muddles muddling mug mugs multiple multiples multiplication multiplied multiplies multiply multiplying mum mumble mummy mundane murder
murdered murderer murdering murders muscle muscles museum museums music musical musician musicians must mutter muttered muttering mutters mutual
mutually myself mysteries mysterious mysteriously mystery mystic myth mythical mythology myths nail nailed nailing nails naive naked name named
nameless namely names naming narrative narrow narrower narrowest nastier nastiest nasty nation national nationally nations native natives natural
naturally nature naughty nay near nearby nearer nearest nearly neat neatly necessarily necessary necessity neck need needed needing needle needles
needless needlessly needs negate negative neglect neglected neglecting neglects negligible negotiable negotiate negotiated negotiates negotiating
negotiation negotiations neighbor neighborhood neighbors neighbour neighbourhood neighbours neither nerve nerves nervous nest nested nesting nests net
nets network networked networking networks neural neutral never nevertheless new newcomer newcomers newer newest newly news newsletter newsletters
newspaper newspapers next nice nicely nicer nicest nick nicked nicking nickname nicknames nicks night nightmare nights nil nine noble nobody node
nodes noise noises noisy nominal nominally nominate nominated nominates nominating none nonetheless nonsense noon nor norm normal normality normally
north northern nose noses nostalgia not notable notably notation note noted notes nothing notice noticeable noticeably noticed notices noticing
notification notified notifies notify notifying noting notion notions notorious notwithstanding noun nouns novel novels novelty novice novices now
nowadays nowhere nuclear nuisance null numb number numbered numbering numbers numbest numeral numerals numeric numerical numerous nun nuns nurse
nurses nut nuts oar obey obeyed obeying obeys object objected objecting objection objectionable objections objective objects obligation obligatory
oblige obliged obliges obliging obnoxious obscene obscure obscured obscures obscuring obscurity observation observations observe observed observer
observers observes observing obsess obsessed obsesses obsessing obsession obsolete obstruct obstructed obstructing obstructs obtain obtainable
obtained obtaining obtains obvious obviously occasion occasional occasionally occasions occupation occupied occupies occupy occupying occur occurred
occurrence occurrences occurring occurs ocean odd oddly odds off offence offences offend offended offender offenders offending offends offense
offenses offensive offer offered offering offerings offers offhand office officer officers offices official officially officials offset offsets
offsetting offspring often oil old older oldest omission omissions omit omits omitted omitting once one ones oneself ongoing onion only onto onus open
opened opening openly opens opera operas operate operated operates operating operation operational operations operator operators opinion opinions
opponent opponents opportunities opportunity oppose opposed opposes opposing opposite opposition oppress oppressed oppresses oppressing oppression opt
opted optic optical optimal optimisation optimise optimised optimises optimising optimistic optimization optimize optimized optimizes optimizing
optimum opting option optional optionally options opts opus opuses oral orange orbit orbital orchestra orchestral order ordered ordering orders
ordinary organ organic organisation organisations organise organised organiser organisers organises organising organization organizations organize
organized organizer organizers organizes organizing organs orient oriental orientate orientated orientates orientating orientation oriented orienting
orients origin original originally originals originate originated originates originating originator origins orthodox other others otherwise ought our
ours ourselves out outcome outcomes outcry outdated outer outgoing outline outlined outlines outlining outlook output outputs outrage outraged
outrageous outrages outraging outright outset outside outstanding outweigh outweighs over overall overcame overcome overcomes overcoming overdraft
overdue overflow overhead overheads overlap overload overloaded overloading overloads overlong overlook overlooked overlooking overlooks overly
overnight overprice overpriced overprices overpricing overridden override overrides overriding overrode overseas overtime overtone overtones overview
overwhelm overwhelmed overwhelming overwhelms overwriting overwritten owe owed owes owing own owned owner owners ownership owning owns oxygen ozone
pace pacifier pack package packaged packages packaging packed packet packets packing packs pad padded padding pads page paged pages paging paid pain
painful painfully painless pains paint painted painting paintings paints pair pairs palace pale pan panel panels panic pant pants paper paperback
papers par parade paradise paradox paragraph paragraphs parallel parallels parameter parameters paranoia paranoid paraphrase pardon parent parentheses
parenthesis parents parity park parked parking parks parliament parochial parody parrot parse parsed parses parsing part partial partially participant
participants participate participated participates participating particle particles particular particularly parties partition partitioned partitioning
partitions partly partner partners parts party pass passage passages passed passenger passengers passes passing passion passionate passive passport
password passwords past paste pat patch patched patches patching patent path pathetic paths patience patient patients patronise patronised patronises
patronising patronize patronized patronizes patronizing pattern patterns pause paused pauses pausing pavement pay payed paying payment payments pays
peace peaceful peak peaks peanut peanuts peasant peasants peculiar pedal pedant pedantic pedantry pedants pedestrian pedestrians peer peers pen
penalties penalty pence pencil pended pending pends penguin pennies penny pens people peoples per perceive perceived perceives perceiving percent
percentage percents perception perfect perfection perfectly perform performance performances performed performing performs perhaps period periodic
periodically periods peripheral peripherals permanent permanently permissible permission permit permits permitted permitting perpetual persecute
persecuted persecutes persecuting persist persistent person personal personalities personality personally personnel persons perspective persuade
persuaded persuades persuading persuasion perverse pet petrol petty pharmacies pharmacy phase phased phases phasing phenomena phenomenon phenomenons
philosopher philosophers philosophical philosophies philosophy phoenix phone phoned phones phoning photo photocopy photograph photographic photographs
photos phrase phrased phrases phrasing physic physical physically physicist physicists physics physiology piano pick picked picking picks picture
pictures pie piece pieces pig pigeon pigs pile piles pill pills pilot pin pinch pinched pinches pinching pink pins pint pints pipe pipeline pipes pit
pitch pitfall pitfalls pity pizza pizzas place placed places placing plague plagued plagues plaguing plain plainly plan plane planes planet planetary
planets planned planning plans plant planted planting plants plaster plastered plastering plasters plastic plate plates platform plausible play played
player players playground playing plays plea pleasant pleasantly please pleased pleases pleasing pleasure plenty plot plots plotted plotter plotting
ploy plug plugged plugging plugs plural plus pocket pockets poem poems poet poetic poetry poets point pointed pointer pointers pointing pointless
points poison poisoned poisoning poisons poke polar pole police policeman policies policy polish polished polishes polishing polite politeness
political politically politician politicians politics poll polls pollution polynomial pompous pool poor poorer poorest poorly pop pope popped popping
pops populace popular popularity populate populated populates populating population populations pork pornography port portability portable ported
porter porters porting portion portions portray portrayed portraying portrays ports pose posed poses posing position positioned positioning positions
positive positively possess possessed possesses possessing possession possibilities possibility possible possibly post postage postal postcard posted
poster posters posting postmaster postpone postponed postpones postponing posts postscript postulate pot potato potatoes potential potentially pound
pounds pour poured pouring pours poverty powder power powered powerful powering powers practicable practical practically practicals practice practiced
practices practicing practise practised practises practising pragmatic praise pray prayed prayer prayers praying prays preach preached preaches
preaching precaution precautions precede preceded precedence precedent precedes preceding precious precise precisely precision predecessor
predecessors predict predictable predicted predicting prediction predictions predicts predominantly preface prefer preferable preferably preference
preferences preferred preferring prefers prefix prefixed prefixes prefixing pregnancy pregnant prejudice prejudiced prejudices prejudicing preliminary
premature prematurely premise premises premium preparation prepare prepared prepares preparing prerequisite prescribe prescribed prescribes
prescribing prescription presence present presentation presented presenting presently presents preserve preserved preserves preserving president press
pressed presses pressing pressure pressures presumably presume presumed presumes presuming pretend pretended pretending pretends pretentious pretty
prevail prevalent prevent prevented preventing prevention prevents preview previewer previous previously price priced prices pricing pride priest
priests primarily primary prime primes primitive primitives prince principal principally principle principles print printed printer printers printing
printout printouts prints prior priorities priority prise prises prison prisoner prisoners privacy private privately privatisation privatization
privilege privileged privileges privileging prize prizes pro probabilities probability probable probably problem problems procedure procedures proceed
proceeded proceeding proceedings proceeds process processed processes processing processor processors proclaim produce produced producer producers
produces producing product production productive productivity products profession professional professionals professor profile profiles profit
profitable profits profound program programmable programme programmed programmer programmers programmes programming programs progress progressed
progresses progressing prohibit prohibited prohibiting prohibits project projected projecting projection projects proliferation prolong prolonged
prolonging prolongs prominent promise promised promises promising promote promoted promotes promoting promotion prompt prompted prompting promptly
prompts prone pronoun pronounce pronounced pronounces pronouncing pronunciation proof proofs propaganda proper properly properties property prophet
proportion proportional proportions proposal proposals propose proposed proposes proposing proposition proprietary prose prosecute prosecuted
prosecutes prosecuting prosecution prospect prospective prospects prostitute prostitutes protect protected protecting protection protects protein
protest protocol protocols prototype proud prove proved proven proves provide provided provides providing proving provision provisional provisions
provocative provoke provoked provokes provoking proximity pseudo psychological psychologist psychologists psychology pub public publication
publications publicise publicised publicises publicising publicity publicize publicized publicizes publicizing publicly publish published publisher
publishers publishes publishing pudding pull pulled pulling pulls pulp pulse pulses pump pumped pumping pumps pun punch punched punches punching
punctuation puncture punish punished punishes punishing punishment puns punt punts pupil pupils purchase purchased purchases purchasing pure purely
purge purity purple purpose purposes pursue pursued pursues pursuing pursuit push pushed pushes pushing put puts putt putted putting putts puzzle
puzzled puzzles puzzling python qualification qualifications qualified qualifier qualifiers qualifies qualify qualifying qualities quality quantities
quantity quantum quarter quarters queen queens queries query quest question questionable questioned questioning questionnaire questions queue queued
queues queuing quibble quick quicker quickest quickly quiet quieter quietest quietly quit quite quits quitting quiz quota quotas quotation quotations
quote quoted quotes quoting rabbit rabbits rabid race raced races racial racing racism racist rack racket racks radar radiation radical radically
radio radios radius rag rage raid raids rail railroad rails railway rain rainbow rained raining rains raise raised raises raising ram rampant ran
random randomly rang range ranged ranges ranging rank ranks rant ranted ranting rants rape rapid rapidly rare rarely rarer rarest rash rat rate rated
rates rather rating ratio rational rationale rationally ratios rats rattle rattled rattles rattling rave raved raves raving raw ray razor reach
reached reaches reaching react reacted reacting reaction reactionary reactions reactor reacts read readable reader readers readership readily reading
readings reads ready real realisation realise realised realises realising realistic reality realization realize realized realizes realizing really
realm realms rear rearrange rearranged rearranges rearranging reason reasonable reasonably reasoned reasoning reasons reassure reassured reassures
reassuring rebuild rebuilding rebuilds rebuilt recall recalled recalling recalls receipt receive received receiver receives receiving recent recently
reception recipe recipes recipient recipients reckless reckon reckoned reckoning reckons reclaim recognisable recognise recognised recognises
recognising recognition recognizable recognize recognized recognizes recognizing recollection recommend recommendation recommendations recommended
recommending recommends reconcile reconsider record recorded recorder recording recordings records recover recovered recovering recovers recovery
recreational recruit recruited recruiting recruitment recruits rectangle rectangular rectified rectifies rectify rectifying recursion recursive
recycle recycled recycles recycling red redefine redefined redefines redefining redirect reduce reduced reduces reducing reduction reductions
redundancy redundant refer reference referenced references referencing referendum referred referring refers refine refined refines refining reflect
reflected reflecting reflection reflects reflex reform reformat reformed reforming reforms refrain refresh refreshed refreshes refreshing refund
refusal refuse refused refuses refusing refute regain regard regarded regarding regardless regards regime region regional regions register registered
registering registers registration regret regrets regrettably regretted regretting regular regularly regulation regulations reign reinstate reinstated
reinstates reinstating reiterate reject rejected rejecting rejection rejects relate related relates relating relation relations relationship
relationships relative relatively relatives relativity relax relaxed relaxes relaxing relay release released releases releasing relevance relevant
reliability reliable reliably relied relief relies relieve relieved relieves relieving religion religions religious relocation reluctance reluctant
reluctantly rely relying remain remainder remained remaining remains remark remarkable remarkably remarked remarking remarks remedy remember
remembered remembering remembers remind reminded reminder reminding reminds reminiscent remote remotely removal remove removed removes removing rename
renamed renames renaming rend render rendered rendering renders rending rendition rends renew renewed renewing renews rent repair repaired repairing
repairs repeat repeatable repeated repeatedly repeating repeats repent repertoire repetition repetitive rephrase replace replaced replacement
replacements replaces replacing replied replies reply replying report reported reporter reporting reports represent representation representations
representative representatives represented representing represents reproduce reproduced reproduces reproducing reproduction repulsive reputation
request requested requesting requests require required requirement requirements requires requiring requisite reread rereading rereads rescue research
researcher researchers resemblance resemble resembled resembles resembling resent reservation reservations reserve reserved reserves reserving reset
resets resetting reside residence resident residents resides resign resignation resigned resigning resigns resist resistance resolution resolve
resolved resolves resolving resort resorted resorting resorts resource resources respect respectable respected respecting respective respectively
respects respond responded responding responds response responses responsibilities responsibility responsible rest restart restarted restarting
restarts restaurant restaurants rested resting restore restored restores restoring restrain restrained restraining restrains restrict restricted
restricting restriction restrictions restrictive restricts rests result resulted resulting results resume resumed resumes resuming resurrection retail
retain retained retaining retains retire retired retirement retires retiring retract retrieval retrieve retrieved retrieves retrieving return returned
returning returns reuse reveal revealed revealing reveals revelation revenge revenue reverse reversed reverses reversing revert review reviewed
reviewing reviews revise revised revises revising revision revolt revolted revolting revolts revolution revolutionary reward rewards rewrite rewrites
rewriting rewritten rewrote rhetorical rhyme rhythm ribbon rice rich richer richest rid ridden ridding ride rides ridiculous ridiculously riding rids
right rightly rights rigid rigorous ring ringed ringing rings riot rip ripped ripping rips rise risen rises rising risk risked risking risks risky
ritual rituals rival rivals river rivers road roads robot robots robust rock rocket rocks rod rode role roles roll rolled rolling rolls roman romance
romantic roof room rooms root roots rope rose rot rotate rotated rotates rotating rotation rotten rough roughly round roundabout rounded rounding
rounds rout route routed routes routine routinely routines routing routs row rows royal royalties rub rubber rubbish rude ruin ruined ruining ruins
rule ruled ruler rulers rules ruling rumor rumored rumoring rumors rumour rumoured rumouring rumours run rung running runs rural rush rushed rushes
rushing rusty sabotage sack sacked sacking sacks sacred sacrifice sacrificed sacrifices sacrificing sad sadden saddened saddening saddens sadly safe
safeguard safeguards safely safer safest safety saga said sail sailed sailing sails saint sake saki salaries salary sale sales salesman salt salvation
same sample sampled samples sampling sand sandwich sandwiches sane sang sanity sank sarcasm sarcastic sat satellite satellites satire satisfaction
satisfactorily satisfactory satisfied satisfies satisfy satisfying sauce save saved saves saving savings saw say saying says scale scaled scales
scaling scan scandal scanned scanner scanning scans scarce scarcely scare scared scares scarf scaring scarlet scatter scattered scattering scatters
scenario scenarios scene scenery scenes sceptical schedule scheduled scheduler schedules scheduling scheme schemes scholar scholars school schools
science sciences scientific scientifically scientist scientists scope score scored scores scoring scotch scrap scrapped scrapping scraps scratch
scratched scratches scratching scream screamed screaming screams screen screens screw screwed screwing screws script scripts scroll scrolled scrolling
scrolls scum sea seal sealed sealing seals search searched searches searching season seat seats second secondary seconded seconding secondly seconds
secret secretaries secretary secretly secrets sect section sections sector sects secular secure security see seed seeing seek seeking seeks seem
seemed seeming seemingly seems seen sees segment segments seldom select selected selecting selection selective selectively selects self selfish sell
selling sells semantic semantics seminar seminars send sender sending sends senior sensation sense senses sensible sensibly sensitive sensitivity sent
sentence sentenced sentences sentencing sentient sentiment sentimental sentiments separate separated separately separates separating separation
separator separators sequel sequence sequences sequential serial series serious seriously seriousness sermon servant servants serve served server
servers serves service services serving session sessions set sets setting settings settle settled settles settling seven seventh several severe
severely severity sex sexes sexist sexual sexuality sexually sexy shade shades shadow shake shaken shakes shaking shaky shall shallow shame shape
shaped shapes shaping share shared shareholder shareholders shares sharing sharp sharply she shed shedding sheds sheep sheer sheet sheets shelf shell
shells shelter shelve shelves shift shifted shifting shifts shine shined shines shining shiny ship shipped shipping ships shirt shock shocked shocking
shocks shoe shoes shone shook shoot shooting shoots shop shopped shopping shops short shortage shorten shortened shortening shortens shorter shortest
shorthand shortly shorts shot shots should shoulder shoulders shout shouted shouting shouts shove show showed shower showers showing shown shows shut
shutdown shuts shutting shy sic sick sicken sickened sickening sickens side sided sides sideways siding sigh sight sighted sighting sights sigma sign
signal signaled signaling signalled signalling signals signature signatures signed significance significant significantly signing signs silence silent
silicon sillier silliest silly silver similar similarities similarity similarly simple simpler simplest simplicity simplified simplifies simplify
simplifying simplistic simply simulate simulated simulates simulating simulation simultaneous simultaneously sin since sincere sincerely sine sinful
sing singer singers singing single singles sings singular singularly sinister sink sinking sinks sins sir sister sit site sites sits sitting situate
situated situates situating situation situations six sixteen sixth sixties sixty size sized sizes sizing skeleton skeptical sketch sketches skill
skilled skills skin skip skipped skipping skips skirt skull sky slag slang slash slave slaves sleep sleeping sleeps slept slice sliced slices slicing
slid slide slides sliding slight slighter slightest slightly slim slip slipped slippery slipping slips slogan slope sloppy slot slots slow slowed
slower slowest slowing slowly slows small smaller smallest smallish smart smash smashed smashes smashing smell smells smelly smile smiled smiles
smiling smith smoke smoked smoker smokers smokes smoking smooth smoothly smug snack snag snail sneak sneaked sneaking sneaks sneaky sniff snobbery
snow soap sober social socialism socialist socially societies society sock socket sockets socks sod soft software soil solar sold soldier soldiers
sole solely soles solicitor solicitors solid solo solution solutions solve solved solves solving some somebody somehow someone someplace something
sometime sometimes somewhat somewhere son song songs sons soon sooner soonest sophisticate sophisticated sophisticates sophisticating sordid sore
sorry sort sorted sorting sorts sought soul souls sound sounded sounding sounds soundtrack soup source sources south southern space spaced spaces
spacing span spare spares spatial speak speaker speakers speaking speaks special specialise specialised specialises specialising specialist speciality
specialize specialized specializes specializing specially specialty species specific specifically specification specifications specified specifies
specify specifying specimen spectacular spectrum speculate speculation sped speech speeches speed speeding speeds spell spelled spelling spellings
spells spelt spend spending spends spent sphere spies spigot spike spill spin spiral spirit spirits spiritual spit spite spits spitted spitting
splendid split splits splitting spoil spoiled spoiling spoils spoilt spoke spoken spokesman sponsor sponsored sponsoring sponsors spontaneous
spontaneously spoof spool sport sports spot spots spotted spotting spout sprang spray spread spreading spreads spring springing springs sprung spur
spurious spy squad square squared squares squaring squash squashed squashes squashing squeeze squeezed squeezes squeezing stability stable stack
stacks staff stage stages stagger staggered staggering staggers stair staircase stairs stake stale stall stamp stamped stamping stamps stance stand
standard standardise standardised standardises standardising standardize standardized standardizes standardizing standards standing standpoint stands
star stare stared stares staring stark starred starring stars start started starter starters starting startle startled startles startling starts
starve starved starves starving state stated statement statements states static stating station stationary stations statistic statistical statistics
status stay stayed staying stays steadily steady steal stealing steals steam steel steep steer steered steering steers stem stems step stepped
stepping steps stereo stereotype stereotypes sterile sterling stick sticking sticks sticky stiff still stimulate stimulated stimulates stimulating
stimulation stir stirred stirring stirs stock stocks stole stolen stomach stone stones stood stop stopped stopping stops storage store stored stores
storey storeys stories storing storm storms story straight straightforward strain strains strange strangely stranger strangest strategic strategies
strategy straw stray stream streams street streets strength strengthen stress stressed stresses stressing stretch stretched stretches stretching
strict strictly strike strikes striking string stringent strings strip stripped stripping strips strive stroke strong stronger strongest strongly
struck structural structure structured structures structuring struggle struggled struggles struggling stuck student students studied studies studio
study studying stuff stuffed stuffing stuffs stumble stumbled stumbles stumbling stun stunned stunning stuns stunt stupid stupidity style styles
subject subjected subjecting subjective subjects submission submit submits submitted submitting subroutine subroutines subscribe subscription
subsequent subsequently subset subsidiary subsidise subsidised subsidises subsidising subsidize subsidized subsidizes subsidizing substance substances
substantial substantially substitute substituted substitutes substituting substitution subtle subtleties subtlety subtly subway subways succeed
succeeded succeeding succeeds success successful successfully succession successive successor such sudden suddenly sue sued sues suffer suffered
sufferer sufferers suffering suffers suffice sufficient sufficiently suffix sugar suggest suggested suggesting suggestion suggestions suggests
suicidal suicide suing suit suitability suitable suitably suite suited suiting suits sum summaries summarise summarised summarises summarising
summarize summarized summarizes summarizing summary summed summer summing sums sun sundry sung sunk sunlight sunny sunrise sunshine super superb
superficial superficially superfluous superior superiority supermarket supernatural supervise supervised supervises supervising supervision
supervisions supervisor supervisors supplement supplementary supplied supplier suppliers supplies supply supplying support supported supporter
supporters supporting supports suppose supposed supposedly supposes supposing suppress suppressed suppresses suppressing suppression supreme sure
surely surface surfaces surgery surname surplus surprise surprised surprises surprising surprisingly surround surrounded surrounding surroundings
surrounds survey surveys survival survive survived survives surviving susceptible suspect suspected suspecting suspects suspend suspended suspending
suspends suspension suspicion suspicious suspiciously sustain sustained sustaining sustains swallow swallowed swallowing swallows swam swamp swamped
swamping swamps swap swapped swapping swaps swear swearing swears sweat sweating sweats sweep sweeping sweeps sweet swept swim swimming swims swing
switch switched switches switching sword swore sworn swum symbol symbolic symbols symmetric symmetry sympathetic sympathies sympathise sympathize
sympathy symphonies symphony symptom symptoms syndicate syndrome synonym synonymous synonyms syntactic syntactically syntax synthesis synthesizer
system systematic systems tab table tables tabs tack tacked tacking tackle tackled tackles tackling tacks tactic tactical tactics tactless tag tail
tailor tailored tailoring tailors tails take taken taker takers takes taking tale talent talented talents tales talk talked talking talks tall tame
tangent tank tanks tap tape tapes target targets task tasks taste tasted tasteless tastes tasting taught tax taxation taxes taxi taxpayer taxpayers
tea teach teacher teachers teaches teaching team teams teapot tear teared tearing tears technical technically technique techniques technological
technology tedious teenage teenager teenagers teeth telephone telephones telescope television tell telling tells temper temperature temperatures
temple temporarily temporary tempt temptation tempted tempting tempts ten tend tended tendencies tendency tender tending tends tennis tens tense
tension tentative tentatively tenth term termed terminal terminally terminals terminate terminated terminates terminating termination terminator
terming terminology terms terrible terribly terrified terrifies terrify terrifying territory terror terrorism terrorist terrorists terse test tested
testing tests text textbook textbooks texts textual than thank thanked thankful thankfully thanking thanks that the theater theatre thee theft their
theirs them theme themes themselves then theological theology theorem theorems theoretical theoretically theories theory therapy there thereabouts
thereafter thereby therefore therein thereof these theses thesis they thick thickness thief thieve thieves thin thing things think thinking thinks
third thirst thirty this thorough thoroughfare thoroughfares thoroughly those thou though thought thoughts thous thousand thousands thread threat
threaten threatened threatening threatens threats three threshold threw throat throats through throughout throughput throw throwing thrown throws
thrust thrusting thrusts thumb thus thy tick ticket tickets tidied tidies tidy tidying tie tied ties tiger tight tightly tile tiles till time timed
timer times timescale timetable timing tin tins tiny tip tips tire tired tires tiresome tiring title titles toad toast tobacco today toe toes together
toggle toilet toilets token tokens told tolerance tolerant tolerate tolerated tolerates tolerating toll tomato tomatoes tome tomorrow ton tone tones
tongue tonight tons too took tool tools tooth top topic topical topics tops tore torn torture toss total totally touch touched touches touching tough
tour tourist tourists toward towards tower towers town towns toy toys trace traced traces tracing track tracked tracking tracks trade traded trades
trading tradition traditional traditionally traditions traffic tragedy tragic trail trailed trailing trails train trained training trains transaction
transactions transcript transfer transferred transferring transfers transform transformation transformed transforming transforms transient transit
transition translate translated translates translating translation translations translator transmission transmissions transmit transmits transmitted
transmitter transmitters transmitting transparent transport transported transporting transports trap trapped trapping traps trash trashcan travel
traveled traveling travelings travelled travelling travellings travels tray tread treasure treat treated treating treatment treats treaty tree trees
trek tremendous tremendously trend trends trendy trial trials triangle triangles tribe tribes trick tricks tricky tried tries trifle trigger triggered
triggering triggers trilogy trinity trip triple tripos trips triumph trivia trivial trivially trolley troop troops trouble troubles trouser trousers
truck trucks true truly trumpet truncate truncated truncates truncating trunk trunks trust trusted trusting trusts trusty truth truths try trying tube
tubes tune tuned tunes tuning tunnel tunnels turn turned turning turns turntable tutor tutorial twelve twentieth twenty twice twin twins twist twisted
twisting twists two tying type typed types typeset typesets typesetting typewriter typical typically typing tyre tyres ugh ugly ultimate ultimately
umbrella unable unacceptable unaffected unambiguous unattended unauthorised unauthorized unavailable unavoidable unaware unbalanced unbearable
unbelievable unbelievably unbiased uncertain uncertainty unchanged uncle unclear uncomfortable uncommon unconnected unconscious unconvincing undefined
under underestimate undergo undergoes undergoing undergone undergraduate undergraduates underground undergrounds underlain underlay underlie underlies
underline underlined underlines underlining underlying underneath understand understandable understanding understands understood undertake undertaken
undertakes undertaking undertook underwent undesirable undid undo undocumented undoes undoing undone undoubtedly unduly uneasy unemployed unemployment
unexpected unexpectedly unexplained unfair unfamiliar unfinished unfortunate unfortunately unfounded unfriendly unhappy unhealthy unhelpful unified
unifies uniform uniformly unify unifying unimportant uninteresting union unions unique uniquely unit unite united unites uniting units unity universal
universally universe universities university unjustified unknown unless unlike unlikely unlimited unload unlock unlocked unlocking unlocks unlucky
unnatural unnecessarily unnecessary unobtainable unofficial unpleasant unpopular unpredictable unread unreadable unrealistic unreasonable unrelated
unreliable unsafe unsatisfactory unseen unset unsolicited unsound unspecified unstable unsuccessful unsuitable unsupported unsure unsuspecting untidy
until unto untrue unusable unused unusual unusually unwanted unwelcome unwilling unwise unworkable upbringing update updated updates updating upgrade
upgraded upgrades upgrading upon upper upright ups upset upsets upsetting upside upstairs upward upwards urban urge urged urgency urgent urgently
urges urging usable usage use used useful usefully usefulness useless user users uses using usual usually utilities utility utter utterly vacancies
vacancy vacation vacations vacuum vague vaguely vain valid validity valley valuable value valued values valuing valve valves van vandalism vanish
vanished vanishes vanishing vans variable variables variance variant variants variation variations varied varies varieties variety various vary
varying vast vastly vat vector vectors vegetable vegetables vegetarian vehicle vehicles vein velocity vend vended vending vendor vends venture venue
venues verb verbal verbally verbatim verbose verbs verdict verification verified verifies verify verifying versatile verse verses version versions
versus vertical vertically very vessel vet via viable vicar vice vicinity vicious victim victims victory video view viewed viewer viewing viewpoint
viewpoints views vigorously vile village villages vintage vinyl violate violation violence violent violently violin virgin virtual virtually virtue
virtues virus viruses visible vision visit visited visiting visitor visitors visits visual visually vital vocabulary vocal voice voices void voltage
volume volumes voluntarily voluntary volunteer volunteered volunteering volunteers vomit vote voted voter voters votes voting vouch vowel vulnerable
wade waded wades wading waffle wage wages wait waited waiting waits wake waked wakes waking walk walked walking walks wall wallet walls wander
wandered wandering wanders want wanted wanting wants war ward warehouse warm warmed warming warms warn warned warning warnings warns warp warped
warping warps warrant warranty wars wartime wary was wash washed washes washing waste wasted wasteful wastes wasting watch watched watches watching
water waters wave waved waves waving way ways weak weakness weaknesses wealth wealthy weapon weapons wear wearing wears weary weasel weasels weather
wed wedded wedding weds wee week weekday weekend weekends weekly weeks weigh weight weird welcome welcomed welcomes welcoming welfare well went were
west western wet wets wetting whale whales what whatever whatsoever wheel wheels when whence whenever where whereas whereby whereupon wherever whether
which whichever while whilst whim whiskey whisky whistle whistles white whites who whoever whole wholeheartedly wholly whom whoop whoops whose why
wicked wide widely wider widespread widest width wife wild wildly will willed willing willingly wills win wind winded winding window windowing windows
winds wine wines wing wings winner winners winning wins winter wipe wiped wipes wiping wire wired wires wiring wisdom wise wiser wisest wish wished
wishes wishing wit witch with withdraw withdrawal withdrawing withdrawn withdraws withdrew within without witness witnessed witnesses witnessing witty
wive wives wizard woke woken wolf woman wombat women won wonder wondered wonderful wonderfully wondering wonders wondrous wont wood wooden woods word
worded wording words wore work workable worked worker workers working workings workload works workshop workstation workstations world worlds worldwide
worm worms worn worried worries worry worrying worse worship worst worth worthless worthwhile worthy would wound wow wrap wrapped wrapper wrappers
wrapping wraps wrath wreck wrecked wrecker wrecking wrecks wren wretched wrist write writer writers writes writing writings written wrong wrongly
wrongs wrote yard yards yawn year yearly years yellow yes yesterday yet yeti yield yields you young younger youngest your yours yourself yourselves
youth zero zeros zone zones zoom`;

const ENGLISH = new Set(WORDS.trim().split(/\s+/));

/** Whether a token (lower case, without accents) is a common word of English as it stands: no slip of another. */
export const isEnglish = (token: string): boolean => ENGLISH.has(token);
