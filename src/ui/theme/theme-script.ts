/** Where the chosen theme is stored, and the themes there are. */
export const THEME_KEY = 'cairn-light';
export const THEMES = ['day', 'dark', 'night'] as const;
export type Theme = (typeof THEMES)[number];

/** Runs before the first paint, so that a page opened at night never flashes white. */
export const THEME_SCRIPT = `(function(){var t=null;try{t=localStorage.getItem('${THEME_KEY}')}
catch(e){}if(t!=='day'&&t!=='dark'&&t!=='night')
t=matchMedia('(prefers-color-scheme: dark)').matches?'dark':'day';
document.documentElement.dataset.theme=t})()`;
