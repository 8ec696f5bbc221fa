import { contractsOf } from '../contract-suite';

contractsOf('particles');
