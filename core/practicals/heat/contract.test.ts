import { contractsOf } from '../contract-suite';

contractsOf('heat');
