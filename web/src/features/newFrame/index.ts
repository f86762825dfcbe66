export { NewFramePage } from './NewFramePage';
