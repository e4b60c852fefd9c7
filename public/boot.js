// Runs before anything is drawn. The page takes the colour of the chosen light, so that no white flashes before dawn; and who opens the
// app for the first time reads a page that stands already, while the app starts behind it.
(function () {
  var KEY = 'steady-trowel/prefs';
  /** Long enough that who reads is not held up by the app's start. */
  var QUIET_MS = 2500;
  var page = document.documentElement;
  var prefs = {};
  var stores = true;
  try {
    prefs = JSON.parse(localStorage.getItem(KEY) || '{}') || {};
  } catch (error) {
    // Without storage nothing can be chosen here: the app says so itself.
    stores = false;
  }
  var colours = { day: '#F6F1E6', sun: '#FFFFFF', 'before-dawn': '#15141C' };
  var colour = colours[prefs.light] || colours.day;
  page.style.backgroundColor = colour;
  page.dataset.light = prefs.light || 'day';
  var theme = document.querySelector('meta[name="theme-color"]');
  if (theme) theme.setAttribute('content', colour);

  var listed = document.querySelector('meta[name="app-scripts"]');
  if (!listed) return;
  var scripts = listed.getAttribute('content').split(' ');
  var first = stores && !prefs.space && location.pathname === '/';
  var started = false;

  function add(tag, attributes) {
    var element = document.createElement(tag);
    for (var name in attributes) element[name] = attributes[name];
    document.head.appendChild(element);
  }
  function start() {
    if (started) return;
    started = true;
    scripts.forEach(function (src) {
      add('script', { src: src, async: false });
    });
  }
  if (!first) {
    scripts.forEach(function (href) {
      add('link', { rel: 'preload', as: 'script', href: href });
    });
    document.addEventListener('DOMContentLoaded', start);
    return;
  }

  page.dataset.first = '';
  var paths = { begin: '/begin', demo: '/demo', file: '/settings' };
  document.addEventListener('click', function (event) {
    var button = event.target.closest('[data-first]');
    if (!button) return;
    var what = button.dataset.first;
    // Set by the first screen of the app, once that stands.
    if (window.steadyTrowelFirst) {
      delete page.dataset.first;
      window.steadyTrowelFirst(what);
      return;
    }
    if (what !== 'demo') {
      prefs.space = 'own';
      localStorage.setItem(KEY, JSON.stringify(prefs));
    }
    location.assign(paths[what]);
  });
  window.addEventListener('load', function () {
    setTimeout(function () {
      // A page that is not drawn anew is never called idle by some browsers.
      if (window.requestIdleCallback) requestIdleCallback(start, { timeout: QUIET_MS });
      else start();
    }, QUIET_MS);
  });
})();
