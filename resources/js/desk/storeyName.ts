/** “Storey Quay”, but “Level 2” and “Storey 1” by themselves. */
export const storeyName = (name: string) => (/\b(storey|story|level|floor)\b/i.test(name) ? name : `Storey ${name}`);
