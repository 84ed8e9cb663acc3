export { NEXT_STEPS, planQuery, rigCard, rigNextStep, rigPlan } from './answers';
export { planOut } from './calculators/planShapes';
export type { Calculator } from './calculators/calculator';
export { CALCULATORS } from './calculators/registry';
export {
  decimalSignOf,
  loadCells,
  loadsColumns,
  LOADS_COLUMNS,
  readLoadsLine,
  type LoadsColumns,
  type LoadsLine,
} from './exchange/loadsCsv';
export { openApi } from './openapi';
export {
  centralTarget,
  deviceDriving,
  deviceFaults,
  deviceFlow,
  deviceSetup,
  probeProfile,
  probeQuery,
} from './devices';
export { LOG_COLUMNS, logAdded, logBatch, logDeletion, logEvent, logKeeping, logQuery } from './log';
export {
  ARCHIVE_PARTS,
  ARCHIVE_PATH,
  ARCHIVE_TYPE,
  ARCHIVE_VERSION,
  archiveDigest,
  archivedPhoto,
  archivedReading,
  archivedRow,
  archiveEvent,
  archiveHead,
  hasDigest,
  type ArchivedReading,
  type ArchiveVersion,
} from './exchange/archive';
export { FILE_KINDS, importQuery } from './imports';
export { sheets } from './paper';
export { id as rowId } from './quantities';
export { HISTORY_DEEDS, removeQuery } from './resources/row';
export { KEEPS_NOTHING } from './people/access';
export { mixesAlphabets, nameKey, tidyName } from './people/names';
export {
  askedInvitation,
  crewChange,
  memberChange,
  newCrew,
  newInvitation,
  newPasskey,
  newPerson,
  ownPassphrase,
  passphraseChange,
  recovering,
  signingIn,
  signingInByPasskey,
  takenInvitation,
} from './people/people';
export { mayAs } from './people/roles';
