import { LAST_HOME_KEY, LAST_OUTING_KEY } from '@/store/last-home';
import { viewUrl } from '@/views/views';
import { FRAME_ID } from './frame-id';
import { OUTING_VIEWS } from './places';

const PATHS = OUTING_VIEWS.map((view) => viewUrl(view));

/**
 * Runs before the app does: says where one is, and lets the places lead to the outing in hand. That
 * is the one of the address, or else the one that was open last. Without any, what is about an
 * outing leads to the list of them.
 */
export const FRAME_SCRIPT = `(function(){try{
var path=location.pathname,query=new URLSearchParams(location.search);
document.documentElement.dataset.place=path;
var frame=document.getElementById('${FRAME_ID}');
var own=${JSON.stringify(PATHS)}.indexOf(path)<0?null:query.get('id');
var id=own||query.get('outing')||localStorage.getItem('${LAST_OUTING_KEY}');
frame.querySelectorAll('a[data-place]').forEach(function(link){
var place=link.dataset.place,of=link.dataset.of;
if(place===path){link.setAttribute('aria-current','page')}
if(of&&id){link.href=place+'?'+of+'='+encodeURIComponent(id)}
else if(of==='id'&&link.dataset.needs!==undefined){link.href='/'}});
var kept=id&&JSON.parse(localStorage.getItem('${LAST_HOME_KEY}'+id));
if(kept&&kept.name){frame.querySelector('[data-in-hand]').textContent=kept.name}
}catch(e){}})()`;
