/**
 * Words that a question is asked with, by the beginnings of words, in both languages; `!` before one that does so
 * by itself, `+` between those that must all be there, `$` after a whole word. Judgement.
 */
export const TOPICS: Readonly<Record<string, { readonly en: string; readonly de: string }>> = {
  'alloy.density': {
    en: '!density dry submerged water hung weighed under',
    de: '!dichte trocken !unter wasser gewogen taucht',
  },
  'alloy.identify': {
    en: '!identify !what+alloy !which+alloy !what+metal !which+metal !what+made !kind+metal !unknown spark fizz vinegar !iacs granular caustic !hardness lye spot hb',
    de: '!bestimm !welche+legierung !was+legierung !was+metall !welches+metall !unbekannt essig funken !leitf !härte lauge',
  },
  'alloy.list': {
    en: '!melt !solidus !liquidus hot what+in how+much+in !how+hot composition density conductivity properties alloys list silicon magnesium copper weight weigh cm3 strong yield !alloy+density !alloy+table alloy !stronger properties strength',
    de: '!schmilzt !schmelzpunkt !schmelzbereich !schmelztemperatur schmelz !solidus !liquidus heiß !wie+heiß zusammensetzung dichte leitfähig legierungen liste was+in silizium magnesium kupfer wiegt festigkeit !legierung+dichte !legierung+tabelle !fester',
  },
  'amps.need': {
    en: '!amps !current how much many need wall weld !amperage',
    de: '!ampere !strom wie viel braucht wand schweiß !stromstärke',
  },
  'balance.correct': {
    en: '!unbalance !balance correct spinning impeller added radius weight !balance+pulley !balance+shaft !balance+fan !balance+wheel !balance+disc !balance+impeller !balance+rotor !balance+build !balance+weld',
    de: '!unwucht auswucht wuchten ausgleich !wuchten+scheibe',
  },
  'bend.straighten': {
    en: '!straighten !bent press back rim flange bend spring',
    de: '!richten !verbogen !geradebieg zurück biegen',
  },
  'boss.compare': {
    en: '!stripped boss thread ways insert slug compare weld restore repair mend best+way',
    de: '!ausgerissen gewinde wege vergleich buchse einsatz nabe auge reparier was+tun',
  },
  'braze.plan': {
    en: '!braze !brazing rod zinc flame !braz+rod !braz+with !zinc+rod !zinc+on',
    de: '!löt !hartlöt lot zink flamme !löt+mit !zinklot !zinkstab',
  },
  'cut.speed': {
    en: '!rpm !speed !feed+tap !rpm+tap !speed+tap spindle !feed drill mill endmill tap turning cutting bore',
    de: '!drehzahl !vorschub !vorschub+gewindebohrer !drehzahl+gewindebohrer schnittgeschwindigkeit bohrer fräser spindel',
  },
  'day.schedule': {
    en: '!schedule !plan+day !my+day !job+first !which+order day order jobs today finish+friday !order+jobs !order+do',
    de: '!tagesplan !plan+tag !auftrag+zuerst reihenfolge tag aufträge heute !reihenfolge !reihenfolge+aufträge',
  },
  'filler.choose': {
    en: '!filler !rod !weldable !can+weld !or+for which for choose wire anodis anodiz for',
    de: '!zusatz !schweißzusatz !schweißbar !stab !kann+schweiß !oder+für welcher draht für eloxier für',
  },
  'finish.after': {
    en: '!paint !powder !anodis !anodiz !plat after coat finish bake !paint+after !powder+after !after+weld',
    de: '!lack !pulver !eloxier !anodisier beschicht danach einbrenn !lackier',
  },
  'fit.press': {
    en: '!press !interference fit push slug hub pressure !press+slug !press+into',
    de: '!presssitz !pressung !übermaß einpress sitz !stopfen+press',
  },
  'fit.shrink': {
    en: '!shrink fit heat hub freeze seize gap hot slug !hot+hub !heat+hub !hot+drop !freez !seiz !shrunk',
    de: '!schrumpf einschrumpf erwärm kühl nabe stopfen !nabe+erwärm !nabe+heiß !nabe+einschrumpf !wie+heiß+nabe !klemmt !geschrumpft',
  },
  'fit.slug': {
    en: '!slug boss stripped plug press !size+slug !slug+boss plug',
    de: '!stopfen !buchse einpress nabe !buchse+nabe !stopfen+nabe',
  },
  'flame.plan': { en: '!oxy !acetylene gas weld flame torch puddle', de: '!autogen !acetylen gasschweiß flamme' },
  'flat.bolted': {
    en: '!bolt bowed flange down stress flat pulled',
    de: '!verschraub krumm flansch spannung festgezogen',
  },
  'flat.evaluate': { en: '!flatness flat face high spots readings', de: '!ebenheit eben fläche hochpunkte' },
  'flat.lap': { en: '!lap !lapping sand face off flat', de: '!läpp abzieh schleif plan' },
  'gas.use': {
    en: '!argon !gas shielding cylinder bottle flow litres last',
    de: '!argon !schutzgas flasche gas durchfluss verbrauch reicht',
  },
  'groove.buildUp': { en: '!build !corner !edge lost up missing layers', de: '!aufbau !ecke !kante auftrag fehlt' },
  'groove.plan': {
    en: '!crack !groove vee grind deep passes rods !stop+hole',
    de: '!riss !nut fuge ausschleif lagen stäbe !stoppbohr',
  },
  'heat.arcPoint': {
    en: '!beside away arc temperature travel moving !from+arc !beside+arc !near+arc !away+arc how+hot arc',
    de: '!neben lichtbogen temperatur entfernung !vom+lichtbogen !neben+lichtbogen',
  },
  'heat.preheat': {
    en: '!preheat !warm heat long minutes torch part oven gun',
    de: '!vorwärm !wärm lange minuten brenner teil ofen brenner',
  },
  'heat.simulate': { en: '!simulate heat spread flow torch', de: '!simulier wärme ausbreit' },
  'hold.simulate': {
    en: '!hold !strong !carry !how+strong stress load break bear deflect bend force mended stand !will+carry !will+hold bracket',
    de: '!hält !trag !wie+stark belast spannung kraft durchbieg bricht !wie+viel+trägt !trägt',
  },
  'holes.circle': { en: '!circle bolt holes pattern pitch', de: '!lochkreis löcher teilkreis' },
  'job.plan': { en: '!plan whole job mend steps repair', de: '!plan ganze auftrag reparatur schritte' },
  'job.ways': { en: '!ways other cheaper sooner surer alternatives', de: '!wege andere billiger schneller sicherer' },
  'job.matters': {
    en: '!matters !measure next unsure guess !reading+next !what+next',
    de: '!zählt messen nächstes unsicher !was+als+nächstes !messen+zuerst',
  },
  'job.quote': {
    en: '!price !quote !cost !charge bill hour !hourly !should+charge !how+much+charge hours !bill$ !bills$',
    de: '!preis !angebot !kost rechnung berechnen verlang !stundensatz !was+verlangen !was+kostet',
  },
  'leak.decay': { en: '!leak pressure falls drop loses', de: '!leck !undicht druck fällt verliert' },
  'machine.ac': { en: '!rms !average en ep half frequency hz', de: '!effektiv !mittelwert halbwelle frequenz' },
  'machine.balance': {
    en: '!balance dial cleaning electrode negative !cleaning+dial !cleaning+action !balance+dial',
    de: '!balance regler reinigung anteil !reinigung+regler !balance+regler',
  },
  'machine.dial': { en: '!dial percent range amps', de: '!skala !regler prozent bereich' },
  'machine.duty': { en: '!duty rest long weld cool', de: '!einschaltdauer !pause ruhe lange schweißen' },
  'machine.setup': {
    en: '!tungsten !cup set setup machine tig settings gas !post !postflow !torch+set flow',
    de: '!wolfram !düse einstell maschine wig !nachström nachlauf',
  },
  'mig.setup': {
    en: '!mig !wire !spool !gun feed voltage settings',
    de: '!mig !drahtvorschub !pistole spannung draht einstell',
  },
  'plate.reinforce': { en: '!reinforce !plate stiffen bar stronger', de: '!verstärk !steifer platte flachstahl' },
  'heat.fitSource': {
    en: '!fit+source !fit+torch !fit+readings !torch+power !real+power thermometer film source',
    de: '!brenner+leistung !quelle+mess thermometer messwerte',
  },
  'log.learn': {
    en: '!log !learnt !finished !taught !lessons !success+rate my+jobs past !how+often !my+repairs !have+lasted',
    de: '!logbuch !gelernt !erledigt !lehren !erfolgsquote erfahrung !wie+oft !meine+reparaturen',
  },
  'photo.blue': { en: '!bluing !blued !blue bears contact picture photo', de: '!tuschier !blau !tragbild bild foto' },
  'photo.card': { en: '!card picture photo find read', de: '!karte bild foto' },
  'photo.measure': {
    en: '!measure+photo !measure+picture !length+photo !size+photo photo picture crack',
    de: '!foto+mess !bild+mess !länge+foto foto bild riss',
  },
  'photo.outline': { en: '!outline shape picture photo', de: '!umriss bild foto' },
  'photo.thread': {
    en: '!thread+photo !thread+picture !photo+pitch pitch picture photo',
    de: '!gewinde+foto !gewinde+bild !foto+steigung steigung bild foto',
  },
  'photo.trace': { en: '!trace !follow+crack line picture photo', de: '!nachfahr !verlauf bild foto riss' },
  'process.choose': {
    en: '!process !tig !tig+mig !weld+braze !which+process mig or weld braze which !gun+tig !spool+tig !braze+tig seam',
    de: '!verfahren !wig !wig+mig !schweiß+löt mig oder löten welches !pistole+wig',
  },
  'puddle.run': { en: '!puddle pool bead !practi', de: '!schmelzbad bad raupe !üben' },
  'repair.judge': {
    en: '!worth !chance should !last repair mend odds !worth+sav !odds !chance+last !should+repair !should+mend !should+fix !worth+mend !repair+hold casting bin scrap !would+mend !would+repair !would+weld safe brake steering lifting !repair+sensible',
    de: '!lohnt !chance reparier reparatur wahrscheinlich !hält+lange !soll+reparier !lohnt+reparatur !chance+hält haltbar gehäuse !hält+repar !repar+halten !soll+schweißen !reparatur+sinnvoll !reparatur+lohn',
  },
  'runout.evaluate': {
    en: '!runout !run-out wobble eccentric dial !wobbl !eccentric shaft round readings',
    de: '!rundlauf !schlag exzentr !unrund !läuft+rund welle',
  },
  'thread.dims': {
    en: '!tapping !tap drill for thread size pitch minor major m hole !size+hole !hole+thread',
    de: '!kernloch !kernlochbohrer bohrer gewinde steigung für maße !loch+für',
  },
  'thread.identify': {
    en: '!thread !tpi !pitch which identify what measured outside !identify+nut !identify+bolt !which+thread !what+thread nut bolt screw bore',
    de: '!gewinde !gangzahl !steigung welches bestimm gemessen außendurchmesser !mutter !schraube !welches+gewinde loch',
  },
  'thread.insert': {
    en: '!insert !helical coil wire drill wall bush !solid+bush',
    de: '!gewindeeinsatz !drahteinsatz !massivbuchse !einsatz bohrer buchse',
  },
  'thread.strength': {
    en: '!strip$ !strips$ !strength bolt break engagement holds deep pull',
    de: '!ausreiß !reißt !festigkeit schraube einschraubtiefe hält',
  },
  'warp.bead': {
    en: '!shrinkage !bead+shrink !weld+shrink !bead+pull bead pulls angular across !weld+pull !how+far+pull',
    de: '!schrumpfung !raupe+schrumpf !raupe+zieht raupe zieht winkel !naht+zieht !schweißnaht+zieht',
  },
  'warp.simulate': {
    en: '!warp !distort pull moves !distortion beads !distort',
    de: '!verzug !verzieh !verzug raupen',
  },
  'weld.chemistry': {
    en: '!chemistry !in+bead composition bead dilution',
    de: '!zusammensetzung !in+raupe raupe aufmischung',
  },
  'weld.crackIndex': {
    en: '!index !crack+index !hot+crack !crack+sensitiv hot crack freez !crack+sensitiv !hot+cracking !cracking+of',
    de: '!heißriss !index !rissempfindlich erstarr !heißrissneigung !heißrisse !heißriss+bei',
  },
  'weld.crackMap': { en: '!map crack', de: '!karte riss' },
}

/** Words that stand by a figure and say which field it is, by the beginnings of words. Judgement. */
export const FIELD_HINTS: Readonly<Record<string, string>> = {
  wallMm: 'wall thick sheet wand dick blech',
  thickMm: 'thick dick stark',
  plateMm: 'plate thick platte',
  depthMm: 'deep depth tief',
  deepMm: 'deep depth tief',
  engagementMm: 'engage deep into thread eingeschraubt tief',
  diameterMm: 'diameter across drill bit mill cutter slug durchmesser ø bohrer fräser stopfen over',
  bossMm: 'boss nabe auge butzen',
  crackMm: 'crack long riss lang',
  lengthMm: 'long length lang länge',
  longMm: 'long lang',
  wideMm: 'wide breit',
  highMm: 'high hoch',
  widthMm: 'wide width breit',
  heightMm: 'high tall hoch',
  outMm: 'bent out verbogen krumm',
  overMm: 'over across über auf length',
  bowMm: 'bow bowed hollow krumm durchgebogen',
  hubMm: 'hub outside nabe außen',
  interferenceMm: 'interference übermaß tight',
  clearanceMm: 'clearance loose spiel',
  holeMm: 'hole bore loch',
  threadMajorMm: 'thread gewinde',
  pitchMm: 'pitch steigung',
  radiusMm: 'radius at',
  atRadiusMm: 'at bei radius',
  toMm: 'to within flat auf',
  wireMm: 'wire draht',
  fillerMm: 'rod stab filler',
  dryG: 'dry air weigh trocken luft wiegt',
  submergedG: 'under water submerged wet unter wasser',
  addedG: 'added weld auftrag',
  massKg: 'weigh mass part wiegt schwer teil',
  targetC: 'to preheat auf vorwärmen',
  startC: 'from starting von',
  serviceC: 'service runs betrieb',
  hubC: 'hub nabe',
  slugC: 'slug freezer stopfen kalt',
  preheatC: 'preheat preheated vorgewärmt',
  a: 'at weld need bei mit',
  ratedA: 'rated nenn',
  lowA: 'from lowest von',
  highA: 'to max highest bis',
  enA: 'en negative',
  dialPct: 'dial at skala auf',
  ratedPct: 'duty rated einschaltdauer',
  enPct: 'en balance negative',
  dilutionPct: 'dilution aufmischung',
  flowLMin: 'flow durchfluss',
  cylinderL: 'cylinder bottle flasche',
  arcMin: 'arc weld lichtbogen schweiß',
  seconds: 'in nach',
  volumeL: 'volume holds tank volumen',
  startKPa: 'from start von',
  endKPa: 'to end auf',
  sourceW: 'torch flame brenner source',
  torqueNm: 'torque tightened anzug',
  boltUtsMPa: 'bolt schraube',
  bodyUtsMPa: 'body casting gehäuse',
}

/** Words that say something only of what comes after them, and none that a field's label says anything by. */
export const BEFORE_ONLY: ReadonlySet<string> = new Set(
  'at to from in into by of with on bei mit auf von aus in um'.split(' '),
)
export const LABEL_NOISE: ReadonlySet<string> = new Set('the and for its that which what'.split(' '))

/** Words for a choice, by the beginnings of words. */
export const CHOICE_WORDS: Readonly<Record<string, string>> = {
  drill: 'drill bohr',
  endmill: 'endmill mill fräs',
  tap: 'tap gewindebohr',
  bore: 'boring ausdreh',
  male: 'male bolt screw stud outside außen schraube',
  female: 'female nut hole bore inside innen mutter loch',
  wire: 'wire draht helical coil',
  solid: 'solid bush massiv',
  'oil-soaked': 'soaked ölgetränkt',
  oily: 'oily ölig',
  dry: 'dry trocken clean',
  paint: 'paint lack',
  powder: 'powder pulver',
  anodised: 'anodis anodiz eloxier',
  plated: 'plat chrom',
  'zinc-al': 'zinc zink',
  seal: 'seal tight dicht',
  cyclic: 'cyclic shak wechsel',
  butt: 'butt stumpf',
  fillet: 'fillet kehl',
  groove: 'groove fuge',
  freezer: 'freezer gefrier',
  'dry-ice': 'ice trockeneis',
}

/** Units as a German bench says them, as a question reads them. */
export const GERMAN_UNITS: Readonly<Record<string, string>> = {
  zoll: 'in',
  grad: 'C',
  gramm: 'g',
  kilo: 'kg',
  kilogramm: 'kg',
  ampere: 'A',
  minuten: 'min',
  minute: 'min',
  sekunden: 's',
  stunden: 'h',
  stunde: 'h',
  liter: 'L',
  prozent: '%',
  millimeter: 'mm',
  zentimeter: 'cm',
  gang: 'tpi',
  gänge: 'tpi',
  volt: 'V',
  watt: 'W',
}
/** The same of an English one, beside what is read anyway. */
export const ENGLISH_UNITS: Readonly<Record<string, string>> = {
  degrees: 'C',
  degree: 'C',
  deg: 'C',
  inches: 'in',
  inch: 'in',
  percent: '%',
  amps: 'A',
  amp: 'A',
  minutes: 'min',
  seconds: 's',
  grams: 'g',
  kilos: 'kg',
  litres: 'L',
  volts: 'V',
  watts: 'W',
}

/** What a figure may be in a field that takes few sizes, in its unit; others are meant for another field. Judgement. */
export const LIKELY: Readonly<Record<string, readonly [low: number, high: number]>> = {
  wireMm: [0.5, 2.5],
  fillerMm: [0.8, 6.5],
  pitchMm: [0.2, 6.5],
  postflowS: [1, 60],
  interferenceMm: [0, 0.6],
  clearanceMm: [0, 0.6],
}

/** Fields of which the first is never the greater: said the other way about they were taken crosswise. */
export const LOW_AND_HIGH: readonly (readonly [low: string, high: string])[] = [
  ['lowA', 'highA'],
  ['a', 'ratedA'],
  ['submergedG', 'dryG'],
]

/** What words say of a field inside a field, by the beginnings of words. */
export const WITHIN: readonly {
  readonly question: string
  readonly field: string
  readonly key: string
  readonly value: unknown
  readonly stems: string
}[] = [
  { question: 'filler.choose', field: 'service', key: 'anodised', value: true, stems: 'anodis anodiz eloxier' },
  { question: 'filler.choose', field: 'service', key: 'saltWater', value: true, stems: 'salt sea salz meer' },
  {
    question: 'filler.choose',
    field: 'service',
    key: 'load',
    value: 'cyclic',
    stems: 'cyclic shak vibrat schwing wechsel',
  },
  { question: 'filler.choose', field: 'service', key: 'heatTreatAfter', value: true, stems: 'aged aushärt ausgehärt' },
]

/** Questions that weigh fillers against one another: one that is named finds no field, and is no stranger. */
export const WEIGHS_FILLERS: ReadonlySet<string> = new Set(['filler.choose'])
