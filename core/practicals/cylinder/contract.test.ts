import { contractsOf } from '../contract-suite';

contractsOf('cylinder');
