export { bySeverity, keyOfFinding, type Finding, type Severity } from './finding';
export * from './sources';
