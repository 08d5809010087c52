let today = '';

/** What day it is where the kits are, as the server said. */
export function keepToday(day: string): void {
    today = day;
}

export function todayThere(): string {
    return today;
}
