/** Stands for the address of a file that Vite puts beside the scripts: panels are tested without Vite. */
export default '/assets/a-file';
