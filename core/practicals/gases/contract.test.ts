import { contractsOf } from '../contract-suite';

contractsOf('gases');
