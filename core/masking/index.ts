export { bestOrder, maskMinutes, type OrderAnswer, type OrderCost, orderCost, type OrderZone, TAPE_MINUTES_A_METRE } from './order.ts';
export { type Division, DIVISIONS, dividePart } from './divide.ts';
