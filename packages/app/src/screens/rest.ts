/*
 * Every screen but the first, in one file of its own that is fetched right after the first page is drawn and kept by the
 * shell. One file, since whatever two files share would be loaded with the first page. What stands here is run one by one
 * in this order while nothing else is to be done (`runAhead`), so what many screens need stands first, piece by piece.
 */
export { PaperTheme } from '../theme/PaperTheme';
export { animated } from '../theme/animated';
export { NoticeBar } from '../components/NoticeBar';
export { TextField } from '../components/TextField';
export { NumberField } from '../components/NumberField';
export { QuantityField } from '../components/QuantityField';
export { Toggle } from '../components/Toggle';
export { Choice } from '../components/Choice';
export { Staff } from '../pictures/Staff';
export { KeysDialog } from '../components/KeysDialog';
// What all forms check with, from the kinds of values and the quantities up.
export {
  $ZodType,
  ZodNumber,
  SPEED_KMH,
  gauge,
  rigAxle,
  rig,
  route,
  outing,
  readingRound,
  routineDetails,
  proofTest,
  RESOURCES,
} from '@dunlinmoss/contract';
export { ROUTINE_CODES } from '@dunlinmoss/core';
export { mergeRows } from '@dunlinmoss/domain';
export { RigsScreen } from './rigs/RigsScreen';
export { GroundScreen } from './ground/GroundScreen';
export { AirScreen } from './air/AirScreen';
export { ProofScreen } from './proof/ProofScreen';
export { BookScreen } from './book/BookScreen';
export { AirInScreen, AirOutScreen } from './air/AiringScreen';
export { CentralScreen } from './air/CentralScreen';
export { LevelScreen } from './air/LevelScreen';
export { LogScreen } from './air/LogScreen';
export { RoadScreen } from './air/RoadScreen';
export { ToolsComparedScreen } from './air/ToolsComparedScreen';
export { WatchScreen } from './air/WatchScreen';
export { OutingScreen } from './book/OutingScreen';
export { WaitingScreen } from './book/WaitingScreen';
export { CompareScreen } from './ground/CompareScreen';
export { CurveScreen } from './ground/CurveScreen';
export { DayScreen } from './ground/DayScreen';
export { RouteNow } from './ground/RouteNow';
export { RouteScreen } from './ground/RouteScreen';
export { DepthScreen } from './ground/DepthScreen';
export { PressureCardScreen } from './ground/PressureCardScreen';
export { WhatIfScreen } from './ground/WhatIfScreen';
export { OfficeScreen } from './office/OfficeScreen';
export { SeasonScreen } from './office/SeasonScreen';
export { CrewScreen } from './people/CrewScreen';
export { HandOver } from './people/HandOver';
export { JoinScreen } from './people/JoinScreen';
export { LeftCrewScreen } from './people/LeftCrewScreen';
export { SignInScreen } from './people/SignInScreen';
export { LearnedScreen } from './proof/LearnedScreen';
export { RoutineScreen } from './proof/RoutineScreen';
export { DrivesScreen } from './rehearsal/DrivesScreen';
export { DriveScreen } from './rehearsal/DriveScreen';
export { ArchivedScreen } from './rigs/ArchivedScreen';
export { CardScreen } from './rigs/CardScreen';
export { FilesScreen } from './rigs/FilesScreen';
export { GaugeScreen } from './rigs/GaugeScreen';
export { MarkingScreen } from './rigs/MarkingScreen';
export { LoadScreen, NewRigScreen, RigEditScreen, RigScreen, SidewallScreen } from './rigs/RigScreen';
export { ToolScreen } from './rigs/ToolScreen';
export { ToolsScreen } from './rigs/ToolsScreen';
export { WallScreen } from './rigs/WallScreen';
export { StartOuting } from './today/StartOuting';
export { followPeople } from '../data/people';
export { fillSeenLater } from '../data/logs';
export { takeWhatEarlierVersionsLeft } from '../data/earlierVersions';
