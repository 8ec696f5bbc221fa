import { contractsOf } from '../contract-suite';

contractsOf('spheres');
