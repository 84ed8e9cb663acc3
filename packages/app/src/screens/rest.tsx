import type { ComponentType } from 'react';

import { Staff } from '../pictures/Staff';
import { AirScreen } from './air/AirScreen';
import { AirInScreen, AirOutScreen } from './air/AiringScreen';
import { CentralScreen } from './air/CentralScreen';
import { LevelScreen } from './air/LevelScreen';
import { LogScreen } from './air/LogScreen';
import { RoadScreen } from './air/RoadScreen';
import { ToolsComparedScreen } from './air/ToolsComparedScreen';
import { WatchScreen } from './air/WatchScreen';
import { BookScreen } from './book/BookScreen';
import { OutingScreen } from './book/OutingScreen';
import { WaitingScreen } from './book/WaitingScreen';
import { CompareScreen } from './ground/CompareScreen';
import { CurveScreen } from './ground/CurveScreen';
import { DayScreen } from './ground/DayScreen';
import { DepthScreen } from './ground/DepthScreen';
import { GroundScreen } from './ground/GroundScreen';
import { PressureCardScreen } from './ground/PressureCardScreen';
import { RouteNow } from './ground/RouteNow';
import { RouteScreen } from './ground/RouteScreen';
import { WhatIfScreen } from './ground/WhatIfScreen';
import { OfficeScreen } from './office/OfficeScreen';
import { SeasonScreen } from './office/SeasonScreen';
import { CrewScreen } from './people/CrewScreen';
import { HandOver } from './people/HandOver';
import { JoinScreen } from './people/JoinScreen';
import { LeftCrewScreen } from './people/LeftCrewScreen';
import { SignInScreen } from './people/SignInScreen';
import { LearnedScreen } from './proof/LearnedScreen';
import { ProofScreen } from './proof/ProofScreen';
import { RoutineScreen } from './proof/RoutineScreen';
import { DriveScreen } from './rehearsal/DriveScreen';
import { DrivesScreen } from './rehearsal/DrivesScreen';
import { ArchivedScreen } from './rigs/ArchivedScreen';
import { CardScreen } from './rigs/CardScreen';
import { FilesScreen } from './rigs/FilesScreen';
import { GaugeScreen } from './rigs/GaugeScreen';
import { MarkingScreen } from './rigs/MarkingScreen';
import { LoadScreen, NewRigScreen, RigEditScreen, RigScreen, SidewallScreen } from './rigs/RigScreen';
import { RigsScreen } from './rigs/RigsScreen';
import { ToolScreen } from './rigs/ToolScreen';
import { ToolsScreen } from './rigs/ToolsScreen';
import { SizeFirst } from './rigs/SizeFirst';
import { WallScreen } from './rigs/WallScreen';
import { StartOuting } from './today/StartOuting';

/** Every screen but the first, and the parts of the first that can wait: one file, which the service worker fetches. */
const SCREENS = {
  AirInScreen,
  AirOutScreen,
  AirScreen,
  ArchivedScreen,
  BookScreen,
  CardScreen,
  CentralScreen,
  CompareScreen,
  CrewScreen,
  CurveScreen,
  DayScreen,
  DepthScreen,
  DriveScreen,
  DrivesScreen,
  FilesScreen,
  GaugeScreen,
  GroundScreen,
  HandOver,
  JoinScreen,
  LearnedScreen,
  LeftCrewScreen,
  LevelScreen,
  LoadScreen,
  LogScreen,
  MarkingScreen,
  NewRigScreen,
  OfficeScreen,
  OutingScreen,
  PressureCardScreen,
  ProofScreen,
  RigEditScreen,
  RigScreen,
  RigsScreen,
  RoadScreen,
  RouteNow,
  RouteScreen,
  RoutineScreen,
  SeasonScreen,
  SidewallScreen,
  SignInScreen,
  SizeFirst,
  Staff,
  StartOuting,
  ToolScreen,
  ToolsComparedScreen,
  ToolsScreen,
  WaitingScreen,
  WallScreen,
  WatchScreen,
  WhatIfScreen,
};
export type RestScreens = typeof SCREENS;

interface RestProps {
  readonly name: keyof RestScreens;
  readonly props: object;
}

export { startBehind } from '../data/behind';

/** One of them by its name (`lazyScreen`). */
export default function Rest({ name, props }: RestProps) {
  const Screen = SCREENS[name] as ComponentType<object>;
  return <Screen {...props} />;
}
