// Svelte reads TypeScript by itself, and styles are plain CSS: nothing has to be prepared.
export default {};
