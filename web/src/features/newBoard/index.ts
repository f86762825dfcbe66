export { NewBoardPage } from './NewBoardPage';
