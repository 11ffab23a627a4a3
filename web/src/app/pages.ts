/** Pages of the studio, for its navigation and its finder. */
export type Page = { to: string; name: string; also?: string; owner?: boolean };

export const FIRST: Page[] = [
  { to: '/', name: 'Today' },
  { to: '/clients', name: 'Clients', also: 'find archive' },
  { to: '/decisions', name: 'Decisions', also: 'advance queue' },
  { to: '/library', name: 'Library', also: 'positions methods' },
];

export const MORE: Page[] = [
  { to: '/month', name: 'Month', also: 'appointments calendar' },
  { to: '/studio/report', name: 'Studio report', also: 'methods compared' },
  { to: '/rules', name: 'Rules', also: 'policy gates limits' },
  { to: '/noise', name: 'Measurement noise', also: 'error study instrument' },
  { to: '/studio', name: 'Studio', also: 'backup import export devices', owner: true },
  { to: '/studio/accounts', name: 'Accounts', also: 'coaches password', owner: true },
];

/** Found by typing only. */
export const DEEPER: Page[] = [
  { to: '/clients/new', name: 'New client' },
  { to: '/rules/backtest', name: 'Looking back with other rules', also: 'backtest' },
  { to: '/rules/rehearsal', name: 'Rehearsal', also: 'invented clients' },
  { to: '/rules/why', name: 'Why? A line, fact by fact' },
];

export const OF_A_CLIENT: Page[] = [
  { to: '', name: 'Overview' },
  { to: '/file', name: 'File' },
  { to: '/screening', name: 'Screening' },
  { to: '/measure', name: 'Measure', also: 'range map' },
  { to: '/measure/bench', name: 'Measuring bench' },
  { to: '/prescribe', name: 'Prescribe', also: 'program sessions' },
  { to: '/perform', name: 'Perform', also: 'start session' },
  { to: '/advance', name: 'Advance', also: 'decide' },
  { to: '/week', name: 'Week' },
  { to: '/calendar', name: 'Calendar', also: 'days places pauses' },
  { to: '/report', name: 'Report' },
  { to: '/home', name: 'Training at home', also: 'link phone' },
  { to: '/sharing', name: 'Who may see this client', also: 'erase' },
];
