import { contractsOf } from '../contract-suite';

contractsOf('measuring');
