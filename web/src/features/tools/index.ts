export { MetersPage } from './MetersPage';
