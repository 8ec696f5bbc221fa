import { contractsOf } from '../contract-suite';

contractsOf('solutions');
