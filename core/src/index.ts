/** The public face of the core. Schemas have their own entry point, so that the browser need not load Joi. */
export type {
  HousingId,
  Id,
  NodeId,
  PortId,
  Range,
  Slot,
  TerminalId,
  TerminalRef,
  WireId,
  XY,
  StepId,
} from './facts/terms/names';
export { endsOf as elementEnds } from './facts/catalogue/elementEnds';
export { canonicalJson } from './facts/terms/canonicalJson';
export { groupedBy } from './facts/terms/groupedBy';
export { countWords } from './facts/terms/countWords';
export { capital } from './facts/terms/capital';
export { enumerated } from './facts/terms/enumerated';
export { jointName, splitJoint, splitRef, tailWireId, terminalRef, isTerminalRef } from './facts/terms/names';
export type {
  Measured,
  Body,
  Certainty,
  Connector,
  Element,
  PartKind,
  PartModel,
  Port,
  Role,
  Side,
  Sign,
  Tail,
  Terminal,
} from './facts/catalogue/partModel';
export { partKinds } from './facts/catalogue/partModel';
export { checkComplete } from './facts/catalogue/checkComplete';
export { checkModel } from './facts/catalogue/checkModel';
export { certaintyAt, compareModels, revisionMistakes } from './facts/catalogue/revisions';
export type { LooseReading, ExpectOptions, ListedFault, ListedTouch, LooseTouch, ShownBy } from './judgement/checks';
export type { TouchList, LeftKind, ProvedLine, ListWanted, Defect, ProbeSchool, ProbeList } from './judgement/checks';
export type { Contrast, BenchTries, Learned, ExpectationSchool } from './judgement/checks';
export { checkLooseReadings, judgeLoose, looseReadings, chargeAfter, expect, expectIn } from './judgement/checks';
export { restLimitV, judgeReading, minutesFor, provesContact, isEarlier, leftByKind } from './judgement/checks';
export { ruledOut, whatListProves, listBasis, listSchool, listSchoolOf, listSchools } from './judgement/checks';
export { listWanted, usualList, probeList, circuitWith, contrasts, defectsOf } from './judgement/checks';
export { coveredTerminals, reachableTerminals, neighboursOf, learnMeter, anchorsFor } from './judgement/checks';
export { chargeBefore, isAcrossMains, soundsShorted, standingShort, expectationSchool } from './judgement/checks';
export { expectationSchoolOf, contactsBehindPlugs, probeWords } from './judgement/checks';
export type { JobProgress } from './border/api/jobProgress';
export { progressOf } from './border/api/jobProgress';
export type { FloorLine, JobSheet, Refusal, TouchesReply } from './border/api/api';
export type { Catalogue } from './facts/catalogue/catalogue';
export { makeCatalogue, terminalOf } from './facts/catalogue/catalogue';
export type { Assembly, Stages } from './facts/assembly/assembly';
export { assemble, remembered } from './facts/assembly/assembly';
export type {
  Build,
  ConnectorRef,
  Fitted,
  Housing,
  Landing,
  Mate,
  Wire,
  WireBody,
  WireEnd,
} from './facts/assembly/build';
export { emptyBuild, isAttached, landedOn, matesOn, sameFitted } from './facts/assembly/build';
export { applyAct } from './facts/assembly/applyAct';
export { fold, inOrder } from './facts/log/fold';
export { advance, emptyLog } from './facts/log/advance';
export type { FollowedLog } from './facts/log/follow';
export { follow, stateOf } from './facts/log/follow';
export type { ActEntry, Entry, LogState, NoteKind, NoteOf } from './facts/log/logState';
export { workBegun, workOf } from './facts/log/jobStart';
export { difference } from './facts/assembly/difference';
export type { Change } from './facts/assembly/difference';
export type { FaultEntry, Note, QuadRecord, RecordHead } from './facts/log/records';
export { isAct } from './facts/log/records';
export { entriesOf, findEntry } from './facts/log/entries';
export type { Link, Pinned, Plan, PlanDraft, StoredDraft } from './facts/plan/plan';
export { wholeDraft } from './facts/plan/plan';
export type { Purpose, Wish } from './facts/plan/wish';
export type { PlanChange, PlanChangeResult } from './facts/plan/planChange';
export { applyPlanChanges } from './facts/plan/planChange';
export type { Becomes, BoardOf, BoardWire } from './facts/wiring/boardWires';
export { boardsOf, boardWires } from './facts/wiring/boardWires';
export type { Net, Netlist } from './facts/wiring/netlist';
export { netlist } from './facts/wiring/netlist';
export { terminalUnder } from './facts/wiring/terminalUnder';
export type { WireBand } from './facts/wiring/wireBand';
export { wireBand } from './facts/wiring/wireBand';
export { hexOf, wireHex } from './facts/wiring/wireHex';
export { ampsFor, diameterMm } from './facts/wiring/wireAmps';
export type { Finding, Severity } from './judgement/rules/finding';
export { severities } from './judgement/rules/finding';
export type { Damage, DamageJudged } from './judgement/diagnosis/damage';
export { damages, judgeDamage } from './judgement/diagnosis/damage';
export type { FoundElsewhere } from './judgement/rules/asReceived';
export { foundElsewhere, judgeAsReceived } from './judgement/rules/asReceived';
export { judge, newFindings } from './judgement/rules/judge';
export type { RebasedPlan } from './judgement/rules/rebasePlan';
export { rebasePlan } from './judgement/rules/rebasePlan';
export type { CutWire, Laid, Lay, Layout, Margin, MarginVerdict } from './physics/layout';
export { areaOf, bestLay, cutLengths, gapDoubt, gapNote, heightMm, isSamePose } from './physics/layout';
export { keepingChanges, layoutBasis, layoutNote, layoutOf, lengthChanges, levelsOf } from './physics/layout';
export { lidPlate, measuredIn, outlineOf, placesToMove, poseChange, posesFor, roomMm } from './physics/layout';
export { cableWays, routeBetween, routeMap, runsBetween, standingOn, tenths, turnsOf } from './physics/layout';
export { layoutPicture, leavesTo, leftOpen, lengthDoubt, lengthMmOf, lengthNote, lowerNut } from './physics/layout';
export { ofLayout, whatChanges } from './physics/layout';
export type { Branch, Circuit } from './physics/circuit/compile';
export { compile, compileSound } from './physics/circuit/compile';
export { reduceToPort } from './physics/circuit/reduce';
export { touchResponse } from './physics/circuit/touchResponse';
export type { Expectation, Heard, Reading, Touch, Verdict } from './facts/log/reading';
export { modeWords } from './facts/log/reading';
export { meterWords } from './border/words/meterWords';
export { goodWords, harmWords, leftWords, provedSentence, provedWords, touchRows } from './border/words/proofWords';
export { suspectJoints } from './judgement/diagnosis/suspects';
export { causesOf } from './judgement/diagnosis/causes';
export type { Gate } from './work/sequence/gates';
export { kitUse } from './work/sequence/kitUse';
export type { Step, StepOf, Verb } from './work/sequence/stepTable';
export type { Stretch } from './work/sequence/stretch';
export { stretches } from './work/sequence/stretch';
export type { Caution } from './work/sequence/caution';
export { lookedAt } from './work/sequence/steps/look';
export type { Group } from './work/sequence/group';
export { isSameGroup } from './work/sequence/group';
export type { JobInput, JobState } from './work/sequence/deriveJob';
export { deriveJob } from './work/sequence/deriveJob';
export { notesAbout, notesOf, ofJob } from './facts/log/notesOf';
export { lastReading } from './facts/log/lastReading';
export { diedSince, untouchedSince } from './facts/log/countsIn';
export type { Replacement } from './work/sequence/replacements';
export { withoutPart } from './work/sequence/replacements';
export { continuitySchool, onlyTouched } from './work/sequence/continuitySchool';
export type { StoppedPower } from './work/sequence/stoppedPower';
export { expectedSigns, signId, signWords, stoppedPower } from './work/sequence/stoppedPower';
export type { ExpectedSign } from './judgement/diagnosis/missingSigns';
export { meaningOfMissing } from './judgement/diagnosis/missingSigns';
export { possible, poweredV } from './facts/terms/possible';
export { parseQuantity, prefixSlip } from './facts/terms/quantity';
export { permitFor, validPermit } from './work/sequence/permit';
export { lastNote } from './work/sequence/jobContext';
export { isInTime } from './facts/log/permits';
export { powerFailings } from './work/sequence/powerVerdict';
export type { Judged } from './facts/log/judged';
export { asJudged } from './facts/log/judged';
export type { ArrivalContext } from './work/arrival/judgeArrival';
export { heldTime, judgeArrival } from './work/arrival/judgeArrival';
export { alloyOf, recipeFor } from './physics/joints/recipe';
export { faultPlaceWords, faultWords, jointWords, siteWords, wireWords } from './facts/assembly/itemWords';
export { padWords, printed, terminalWords } from './facts/assembly/padWords';
export { slotTitle, slotWords } from './facts/assembly/slotWords';
export { bandWords, numberWords, expectedWords, heardWords, passesWords, toneWords } from './border/words/readingWords';
export { recordWords } from './border/words/recordWords';
export { stepWords, whyNow } from './border/words/stepWords';
export type { Recipe } from './physics/joints/recipe';
export { drivesMotors, isBoard, isBatteryLead, isController, isMotor, liesByArrow } from './facts/catalogue/kinds';
export type { Meaning } from './judgement/labels/meaning';
export { meaning, meaningWords } from './judgement/labels/meaning';
export { readLabels } from './judgement/labels/readLabel';
export type { BoardDraft, Drafted, Edge, PadRow, Signature } from './judgement/draft';
export type { DraftOpening, DraftPlace, FrameDraft } from './judgement/draft';
export { applySignature, draftFrame, draftModel, draftPlaceKinds, draftSides, firstMeasures } from './judgement/draft';
export { measuredWords, motorPatterns, photoScale, splitLabels } from './judgement/draft';
export { asPattern, emptyPlan } from './facts/plan/asPattern';
export type { Lost, Swapped } from './facts/plan/swapModel';
export { lostWords, swapModel } from './facts/plan/swapModel';
export type { Flying, WeightClass } from './planning/mass';
export {
  balanceOf,
  centreWords,
  flyingWith,
  packPlace,
  packWords,
  thrustWords,
  weighedIn,
  weightClassOf,
} from './planning/mass';
export type { KitLine } from './planning/kit/kitLine';
export { kitList } from './planning/kit/kitList';
export type { Pick } from './planning/kit/pick';
export { pickFor, takesFor, insteadFor } from './planning/kit/pick';
export { voltageWindow } from './work/intake/voltageWindow';
export { expectedLoss, failureChance, motorRisks } from './work/intake/motorRisk';
export type { Grade } from './work/intake/grade';
export { gradeJob } from './work/intake/grade';
export { extrasFor } from './work/intake/extras';
export type { ModelIndexLine, PartLine, Intake, TemplateLine } from './border/api/stores';
export type { LinearModel, Solution, Solve } from './facts/terms/solver';
export { toLpText } from './facts/terms/solver';
export type { Conflict, Planned, PlannedWish, PlanRequest, PlanResult } from './planning/planner/request';
export { planWiring } from './planning/planner/planWiring';
export { bodyByHand, padByHand } from './planning/planner/handPin';
export type { Clash, Composed } from './planning/composing/compose';
export type { ComposeGiven, Suggestion } from './planning/composing/wired';
export { compose } from './planning/composing/compose';
export { type Draft, emptyDraft, inPlaceOf, putOn } from './planning/composing/draft';
export type { Heap } from './planning/composing/heap';
export { draftOf } from './planning/composing/heap';
export type { Lack } from './planning/composing/lacks';
export { lacksOf } from './planning/composing/lacks';
export { wantsOf } from './planning/composing/wants';
export { cellsOf } from './planning/composing/cellsOf';
export { costWords, joinedBy } from './planning/composing/costWords';
export { withoutParts } from './planning/planner/restricted';
export type { WayOut } from './planning/planner/wayOut';
export { withWayOut } from './planning/planner/wayOut';
export { leftUnwired } from './planning/planner/leftUnwired';
export { waysOut } from './planning/planner/waysOut';
export { lying, placeOf, pointOf } from './physics/geometry/place';
export type { FrameBody, Place, XYZ } from './facts/catalogue/frame';
export { openingPasses } from './facts/catalogue/frame';
export type { Pose, Stack, StackLayer } from './facts/assembly/build';
export type { CutList, CutPiece } from './planning/kit/cutList';
export type { Offcut, WireToCut } from './planning/kit/offcut';
export { cutList } from './planning/kit/cutList';
export { cutNote, offcutLine, offcutsFor } from './planning/kit/cutOut';
export type { LayoutView } from './border/formats/layoutSvg';
export { layoutSvg } from './border/formats/layoutSvg';
export type { LayoutNote, MeasuredGap } from './facts/log/records';
export { possibleWishes, wishesFor } from './planning/planner/wishesFor';
export type { Amps, Rail, SupplyTree } from './physics/loads/supplyTree';
export { planShare, railWords, supplyTree, usbLimitA } from './physics/loads/supplyTree';
export { remediesFor } from './planning/remedies/remedies';
export { whyRule } from './judgement/rules/rules';
export type { Waived } from './judgement/rules/waivers';
export { splitWaived, waiverObjection } from './judgement/rules/waivers';
export type { Conversion, Work } from './planning/conversion/conversion';
export { alignmentWords, motorChangeWords } from './planning/conversion/motorChanges';
export { wiresBegun } from './facts/assembly/wiresBegun';
export { retained } from './facts/assembly/retained';
export { penaltyWords } from './planning/planner/softPenalties';
export { conversion, dormantParts } from './planning/conversion/conversion';
export { serialPortsLeft } from './planning/conversion/portsUsed';
export type { Asked } from './planning/conversion/keepDormant';
export { movePlace, placeBeside } from './planning/conversion/keepDormant';
export type { MotorPlace, Sense } from './physics/motors/motorMap';
export { motorMap } from './physics/motors/motorMap';
export { armEdge } from './physics/motors/armEdge';
export type { Alignment, TiltSign } from './physics/motors/alignment';
export { alignmentOf, tiltSigns } from './physics/motors/alignment';
export type { SheetLine } from './work/setup/setupSheet';
export type { LocalLaw } from './work/setup/localLaw';
export { lawSchools, lawWords, localLawOf } from './work/setup/localLaw';
export { setupSheet } from './work/setup/setupSheet';
export type { DumpLine, DumpResult } from './work/setup/compareDump';
export { compareDump } from './work/setup/compareDump';
export type { WrongName } from './facts/plan/wrongReferences';
export { wrongNames } from './facts/plan/wrongNames';
export { planChangesTo } from './facts/plan/planChangesTo';
export { pinName, reversePlanChanges } from './facts/plan/planChange';
export type { Alternative } from './planning/planner/reasons';
export { alternativesFor, reasonFor } from './planning/planner/reasons';
export type { RowFault, WireRow } from './facts/plan/wireRows';
export { changesFromRows, slotsOfRow, wireRows } from './facts/plan/wireRows';
export { buildFileOf } from './border/formats/buildFile';
export { repeatedNames } from './border/formats/repeatedNames';
export { spiceDeckOf } from './border/formats/spiceDeck';
export { edgeOf, span } from './physics/geometry/boardEdge';
export type { Leader } from './border/formats/leaders';
export { exitsOf, placeLeaders, sidesOf } from './border/formats/leaders';
export { wiringSvg } from './border/formats/wiringSvg';
export { coreVersion } from './facts/terms/coreVersion';
export { sameJson } from './facts/terms/sameJson';
export type { PowerStage } from './facts/terms/powerStage';
export type { Act, IronUse } from './facts/assembly/act';
export type { Part } from './facts/catalogue/part';
export type { StockLine } from './facts/catalogue/stockLine';
export { amountWords } from './facts/catalogue/stockLine';
export type { Length } from './facts/terms/toneLength';
export type { Site } from './facts/terms/site';
export type { Meter, MeterSource } from './facts/terms/meter';
export { sourceOf } from './facts/terms/meter';
export { mainLeads } from './facts/wiring/mainLeads';
export { segmentsCross } from './physics/geometry/crossings';
export { gapMm } from './physics/geometry/gap';
export type { Remedy } from './planning/remedies/scene';
export { idsOf, mendingOf, openFaults, provingOf } from './work/sequence/faults';
export type { Matter } from './work/sequence/matters';
export { findFault, mattersOf } from './work/sequence/matters';
export type { OpenPlug } from './work/sequence/openPlugs';
export { openPlugs } from './work/sequence/openPlugs';
export type { Destination, HowDied, SymptomArea } from './facts/log/records';
export { symptomAreas, waysOfDying } from './facts/log/records';
export { partnersOf } from './judgement/diagnosis/partners';
export { cavityOrderWords, housingWords, leadWords, plugWords, socketOf, wiresIn } from './facts/assembly/plugWords';
export { wasSlotWords, wasTerminalWords } from './facts/assembly/wasWords';
export { contactWords, crimpWords, jointPlace, wireEndsWords } from './facts/assembly/itemWords';
export { planFromBook } from './work/intake/planFromBook';
export { lookFirst, symptomWords } from './judgement/diagnosis/symptoms';
export type { ReplacementWork } from './work/sequence/replacementWork';
export { replacementOf } from './work/sequence/replacementWork';
export type { SheetSection } from './border/words/customerSheet';
export { customerSheet } from './border/words/customerSheet';
export { betweenWords, partsBetween } from './judgement/diagnosis/between';
export { gapKey, touchKey } from './facts/log/noteSubject';
