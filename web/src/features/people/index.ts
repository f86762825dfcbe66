export { PasswordPage } from './PasswordPage';
export { PeoplePage } from './PeoplePage';
