/** An address inside a job that names no screen. */
import { NotHere } from '../../../bench/frame/NotHere';

export function NoSuchPlace() {
  return <NotHere what="There is no such place in this job" why="The address leads nowhere." />;
}
