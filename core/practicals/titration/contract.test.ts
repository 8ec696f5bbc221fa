import { contractsOf } from '../contract-suite';

contractsOf('titration');
