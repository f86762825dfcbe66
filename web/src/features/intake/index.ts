export { FindCustomer } from './FindCustomer';
export { FindQuad } from './FindQuad';
export { IntakePage } from './IntakePage';
export { JobForm } from './JobForm';
export { KeepTemplate } from './KeepTemplate';
export { NewCustomer } from './NewCustomer';
export { NewQuad } from './NewQuad';
export { WeightClassesPage } from './WeightClassesPage';
