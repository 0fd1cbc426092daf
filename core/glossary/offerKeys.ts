/** The keys that take an offer, with Alt: on and above the home row of the right hand, where no browser owns them. */
export const OFFER_KEYS = ['KeyJ', 'KeyK', 'KeyL', 'Semicolon', 'KeyU', 'KeyI', 'KeyO', 'KeyP', 'KeyN'];

/** The letters of the keys, as they are told. */
export const OFFER_LABELS = OFFER_KEYS.map((code) => (code === 'Semicolon' ? ';' : code.slice(-1)));
