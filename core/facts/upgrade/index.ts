export { canUpgrade, upgraded, upgradedFact } from './upgrade.ts';
