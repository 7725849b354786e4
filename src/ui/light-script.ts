/** Where the chosen light is kept, and the lights there are. */
export const LIGHT_KEY = 'cairn-light';
export const LIGHTS = ['day', 'dark', 'night'] as const;
export type Light = (typeof LIGHTS)[number];

/** Runs before the first paint, so that a page opened at night never flashes white. */
export const LIGHT_SCRIPT = `(function(){var l=null;try{l=localStorage.getItem('${LIGHT_KEY}')}catch(e){}
if(l!=='day'&&l!=='dark'&&l!=='night')l=matchMedia('(prefers-color-scheme: dark)').matches?'dark':'day';
document.documentElement.dataset.light=l})()`;
