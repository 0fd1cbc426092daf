/** Something wrong in material from outside: where it stands, in the notation of that format, and what it is. */
export interface Fault {
  place: string;
  message: string;
}
