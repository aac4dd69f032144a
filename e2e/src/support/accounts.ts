export const COACH = { email: 'coach@lanternwood.example', password: 'lanternwood-mat-7' };
export const OTHER_COACH = { email: 'coach@tidegate.example', password: 'tidegate-mat-3' };
