export { bySeverity, keyOfFinding, SEVERITIES, type Finding, type Remedy, type Severity } from './finding';
export * from './sources';
