/** What a file of a trade is named for: `./gears/tooth-count.surface.svelte` is `tooth-count`. */
export const nameIn = (path: string): string => /([\w-]+)\.\w+\.svelte$/.exec(path)![1]!;
