import { contractsOf } from '../contract-suite';

contractsOf('hydrates');
