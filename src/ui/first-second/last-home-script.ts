import { LAST_HOME_KEY, LAST_OUTING_KEY } from '@/store/last-home';

/** Where the last known way home is painted, and the attribute that the page wears once awake. */
export const LAST_HOME_ID = 'last-home';
const AWAKE = 'awake';

/**
 * Runs before the app does, from a kilobyte: paints the last known way home, with its age,
 * until the log has been read. Only on pages that show an outing, or the list of them.
 */
export const LAST_HOME_SCRIPT = `(function(){try{
var path=location.pathname;
if(path!=='/'&&path!=='/outing'&&path!=='/home-now')return;
var id=new URLSearchParams(location.search).get('id')||localStorage.getItem('${LAST_OUTING_KEY}');
var kept=id&&JSON.parse(localStorage.getItem('${LAST_HOME_KEY}'+id));
if(!kept)return;
var place=document.getElementById('${LAST_HOME_ID}');
var minutes=Math.max(0,Math.round((Date.now()-kept.at)/60000));
var age=minutes<1?'just now':minutes<60?minutes+' min ago':minutes<2880?Math.round(minutes/60)+
' h ago':Math.round(minutes/1440)+' days ago';
var say=function(name,text){place.querySelector('[data-'+name+']').textContent=text};
say('bearing',kept.bearing);say('north',kept.north);say('walk',kept.walk);say('to',kept.to);
say('sure',kept.sure);say('age',kept.name+': as it was '+age);
place.querySelector('a').href='/home-now?id='+encodeURIComponent(id);
place.dataset.on=path.slice(1)||'outings';place.hidden=false}catch(e){}})()`;

/** Called by a view that shows the way home itself: the painted one goes. */
export function awake(): void {
  document.documentElement.dataset[AWAKE] = '';
}
