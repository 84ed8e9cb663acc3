export {
  BOARD_STEPS,
  NEXT_STEPS,
  type BoardStep,
  type NextStep,
  type RigCard,
  type RigNextStep,
  type RigPlan,
} from './answers';
export { changes, changesQuery, type Change, type Changes, type SetBack } from './changes';
export { buildOf, tireOf } from './rig/build';
export {
  EXCHANGE_VERSION,
  exchangeFile,
  importOutcome,
  readExchange,
  type ExchangeFile,
  type ImportOutcome,
} from './exchange/exchangeFile';
export type { ArchiveCounts, ArchiveEvent, ArchivePart } from './exchange/archive';
export type {
  LoadsAction,
  LoadsCounts,
  LoadsEvent,
  LoadsFileProblem,
  LoadsLineProblem,
  LoadsOutcome,
} from './exchange/loadsCsv';
export { FROM_VERSION_2 } from './exchange/version2';
export {
  centralState,
  deviceState,
  FAULT_KINDS,
  gaugeShows,
  monitorPackets,
  PACKET_S,
  sentPackets,
  type CentralState,
  type CentralTarget,
  type DeviceFault,
  type DeviceFlow,
  type DeviceSetup,
  type DeviceState,
  type FaultKind,
  type GaugeShows,
  type MonitorPacket,
  probeProfile,
} from './devices';
export { MOST_SHEETS, type Paper, type Sheet, type SheetBar, type SheetPart, type Sheets } from './paper';
export { openImports, type ImportState, type OpenImport } from './imports';
export {
  LOG_FROM,
  LOG_TO,
  downsampledLog,
  type LogEvent,
  type LogKeeping,
  type LogLineProblem,
  type LogRow,
  type DownsampledLog,
} from './log';
export {
  checkedBy,
  fieldProblems,
  problem,
  PROBLEM_CODES,
  type FieldProblem,
  type Problem,
  type ProblemCode,
  type Checked,
  type Schema,
} from './problem';
export { INVITED_ROLES, mayAs, ROLES, type Role } from './people/roles';
export { NAME_LENGTH, PASSPHRASE_LENGTH } from './people/lengths';
export { nameKey } from './people/names';
export {
  crewName,
  newPerson,
  passphrase,
  personName,
  recoveryCodes,
  type Crew,
  type Me,
  type PasskeyList,
  type SessionList,
  type ShownInvitation,
  type Space,
} from './people/people';
export { airing, type Airing, type AiringRow, type AiringRunBody, type AiringWheel } from './resources/airing';
export { airTool, type AirToolBody, type AirToolRow } from './resources/airTool';
export {
  comparison,
  comparisonRow,
  setup,
  type ComparisonBody,
  type ComparisonRow,
  type Setup,
} from './resources/comparison';
export {
  FOUND,
  MOST_STRETCHES,
  MOST_TRACK_POINTS,
  route,
  routeStretch,
  type Found,
  type RouteBody,
  type RouteRow,
  type RouteStretchBody,
} from './resources/route';
export { gauge, type GaugeBody, type GaugeRow } from './resources/gauge';
export { loadCase, type LoadCaseBody, type LoadItemBody } from './resources/loadCase';
export {
  DECISIONS,
  outing,
  OUTING_STATES,
  type DecisionCode,
  type Outing,
  type OutingRow,
  type OutingState,
} from './resources/outing';
export { PHOTO_LIMIT, PHOTO_PATH, PHOTO_TYPE } from './resources/photo';
export {
  detailsOf,
  proofTest,
  routineDetails,
  type ProofTest,
  type ProofTestRow,
  type RoutineDetails,
} from './resources/proofTest';
export {
  OCCASIONS,
  readingRound,
  type Occasion,
  type ReadingRound,
  type ReadingRoundRow,
} from './resources/readingRound';
export { PLAIN_AXLE } from './resources/plainAxle';
export { KINDS, RESOURCE_NAMES } from './resources/kinds';
export { bodyOf, serverOnlyFields } from './resources/rowParts';
export { RESOURCES, type BodyOf, type QueryOf, type ResourceName, type RowOf } from './resources/registry';
export {
  rig,
  rigAxle,
  TIRE_FIELDS,
  type Reading,
  type Rig,
  type RigAxle,
  type TireField,
  type RigRow,
} from './resources/rig';
export { parseDataSheet, type SheetProblem } from './rig/dataSheet';
export { askAbout, caseQuestions, doubtfulLoads, isRoadDoubtful, questionsOf, type RigQuestion } from './rig/questions';
export { curveOf, factsOf, geometryOf, loadCaseOf, readKpa, rigLoads } from './rig/rigInput';
export { $ZodType, ZodNumber } from './zod';
export { REVISIONS_OF_AN_EPOCH, SPEED_KMH } from './ranges';
