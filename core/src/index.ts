/** The public face of the core. Schemas have their own entry point, so that the browser need not load Joi. */
export type { HousingId, Id, NodeId, PortId, Range, Slot, TerminalId, TerminalRef, WireId, XY } from './names';
export { jointName, splitJoint, splitRef, tailWireId, terminalRef } from './names';
export type {
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
} from './catalogue/partModel';
export { partKinds } from './catalogue/partModel';
export { checkModel } from './catalogue/checkModel';
export { certaintyAt, compareModels, revisionMistakes } from './catalogue/revisions';
export type { LooseReading } from './catalogue/looseReadings';
export { checkLooseReadings, judgeLoose, looseReadings } from './catalogue/looseReadings';
export type { FloorLine, JobSheet, Refusal } from './border/border';
export type { Catalogue } from './catalogue/catalogue';
export { findTerminal, makeCatalogue, modelIn, terminalOf } from './catalogue/catalogue';
export type { Build, ConnectorRef, Fitted, Housing, Landing, Mate, Wire, WireBody, WireEnd } from './build/build';
export { emptyBuild, isAttached, landedOn, sameFitted } from './build/build';
export { applyAct } from './build/applyAct';
export { fold, foldLog } from './build/fold';
export type { FoldedAct, FoldedLog } from './build/fold';
export { difference } from './build/difference';
export type { Change } from './build/difference';
export type {
  Act,
  FaultEntry,
  IronUse,
  Note,
  Part,
  PowerStage,
  QuadRecord,
  RecordHead,
  StepId,
} from './records/records';
export { isAct } from './records/records';
export { effective } from './records/effective';
export type { Link, Pinned, Plan, PlanDraft, StoredDraft } from './plan/plan';
export { wholeDraft } from './plan/plan';
export type { Purpose, Wish } from './plan/wish';
export type { PlanChange, PlanChangeResult } from './plan/planChange';
export { applyPlanChanges, sameJson } from './plan/planChange';
export type { Becomes, BoardOf, BoardWire, Stages } from './wiring/boardWires';
export { boardsOf, boardWires } from './wiring/boardWires';
export type { Net, Netlist } from './wiring/netlist';
export { netlist } from './wiring/netlist';
export { terminalUnder } from './wiring/terminalUnder';
export { hexOf, wireHex } from './wiring/wireHex';
export { ampsFor, diameterMm } from './wiring/wireAmps';
export type { Finding, Severity } from './rules/finding';
export type { Damage, DamageJudged } from './repair/damage';
export { damages, judgeDamage } from './repair/damage';
export type { FoundElsewhere } from './rules/cameIn';
export { foundElsewhere, judgeAsItCame } from './rules/cameIn';
export { judge, newFindings } from './rules/judge';
export type { KeepOffer } from './rules/keepIt';
export { offerToPlan } from './rules/keepIt';
export type { Branch, Circuit } from './circuit/compile';
export { compile } from './circuit/compile';
export { reduceToPort } from './circuit/reduce';
export { touchResponse } from './circuit/touchResponse';
export type { Expectation, Heard, Length, Meter, Reading, Site, Touch, Verdict } from './checks/reading';
export { chargeAfter, expect, expectIn, restLimitV } from './checks/expect';
export type { ExpectOptions } from './checks/expect';
export { judgeReading } from './checks/judgeReading';
export type { ContinuityList, ListedTouch, TouchReason } from './checks/continuityTouches';
export { continuityTouches, mainLeads } from './checks/continuityTouches';
export { coveredTerminals } from './checks/reach';
export { gapMm, neighboursOf } from './checks/neighbours';
export { suspectJoints } from './checks/suspects';
export { anchorsFor, chargeBefore } from './checks/anchors';
export type { Gate, Step, StepKind, Stretch } from './sequence/step';
export { stretches } from './sequence/step';
export type { JobInput, JobState } from './sequence/deriveJob';
export { deriveJob } from './sequence/deriveJob';
export { lastReading } from './sequence/done';
export { notesOf } from './records/notesOf';
export { openFaults, validPermit } from './sequence/firstPower';
export { alloyOf, recipeFor } from './sequence/recipe';
export type { Recipe } from './sequence/recipe';
export type { WordContext } from './sequence/words';
export {
  jointWords,
  padWords,
  printed,
  siteWords,
  slotWords,
  stepWords,
  terminalWords,
  wireWords,
} from './sequence/words';
export type { Meaning } from './labels/meaning';
export { meaning, meaningWords } from './labels/meaning';
export { readLabels } from './labels/readLabel';
export type { BoardDraft, Edge, PadRow } from './draft/boardDraft';
export { photoScale, splitLabels } from './draft/boardDraft';
export type { Drafted } from './draft/draftModel';
export { draftModel } from './draft/draftModel';
export type { Measured, Signature } from './draft/signature';
export { applySignature, firstMeasures } from './draft/signature';
export type { Swapped } from './plan/swapModel';
export { swapModel } from './plan/swapModel';
export type { KitLine, StockLine } from './kit/kitLine';
export { amountWords } from './kit/kitLine';
export { kitList } from './kit/kitList';
export type { Pick } from './kit/pick';
export { pickFor, takesFor } from './kit/pick';
export { voltageWindow } from './intake/voltageWindow';
export { expectedLoss, failureChance, motorRisks } from './intake/motorRisk';
export type { Grade } from './intake/grade';
export { gradeJob } from './intake/grade';
export { fitMargins, screwFits } from './intake/fitMargins';
export { extrasFor } from './intake/extras';
export type { ModelIndexLine, PartLine, Intake } from './border/stores';
export { forecastWeight } from './intake/weights';
export type { LinearModel, Solution, Solve } from './planner/solver';
export { toLpText } from './planner/solver';
export type { Conflict, Planned, PlannedWish, PlanRequest, PlanResult } from './planner/planWiring';
export { planWiring } from './planner/planWiring';
export { bodyByHand, padByHand } from './planner/handPin';
export type { WayOut } from './planner/waysOut';
export { waysOut } from './planner/waysOut';
export { lying, placeOf, pointOf } from './planner/place';
export { segmentsCross } from './planner/uncross';
export { possibleWishes, wishesFor } from './planner/wishesFor';
export type { Amps, Rail, SupplyTree } from './loads/supplyTree';
export { planShare, railWords, supplyTree, usbLimitA } from './loads/supplyTree';
export type { Remedy } from './remedies/candidates';
export { remediesFor } from './remedies/remedies';
export { whyRule } from './rules/rules';
export type { Waived } from './rules/waivers';
export { splitWaived, waiverObjection } from './rules/waivers';
export type { Conversion, Work } from './conversion/conversion';
export { alignmentWords, motorChangeWords } from './conversion/motorChanges';
export { asBegun } from './build/asBegun';
export { standing } from './build/standing';
export { crowdingWords } from './planner/crowding';
export { conversion, dormantParts } from './conversion/conversion';
export type { Asked } from './conversion/keepDormant';
export { movePlace, placeBeside } from './conversion/keepDormant';
export type { MotorPlace, Sense } from './motors/motorMap';
export { motorMap } from './motors/motorMap';
export type { Alignment, TiltSign } from './motors/alignment';
export { alignmentOf, tiltSigns } from './motors/alignment';
export type { SheetLine } from './setup/setupSheet';
export { setupSheet } from './setup/setupSheet';
export type { DumpLine, DumpResult } from './setup/compareDump';
export { compareDump } from './setup/compareDump';
export type { WrongName } from './plan/wrongNames';
export { wrongNames } from './plan/wrongNames';
export { planChangesTo } from './plan/planChangesTo';
export { pinName, reversePlanChanges } from './plan/planChange';
export type { Alternative } from './planner/reasons';
export { alternativesFor, reasonFor } from './planner/reasons';
export type { RowFault, WireRow } from './wiring/wireRows';
export { changesFromRows, slotsOfRow, wireRows } from './wiring/wireRows';
export { buildFileOf } from './formats/buildFile';
export { repeatedNames } from './formats/repeatedNames';
export { spiceDeckOf } from './formats/spiceDeck';
export { edgeOf, span } from './formats/boardEdge';
export type { Leader } from './formats/leaders';
export { exitsOf, placeLeaders, sidesOf } from './formats/leaders';
export { wiringSvg } from './formats/wiringSvg';
export { coreVersion } from './version';
