/** Lists and tables of any length, and the packages behind them: one piece of code, fetched when the first is opened. */
export { Numbers } from './charts/Numbers';
export { LongWindow } from './LongWindow';
