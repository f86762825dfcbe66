export { IntakePage } from './IntakePage';
export { NewJobPage } from './NewJobPage';
