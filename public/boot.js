// Before anything is drawn: the page takes the colour of the chosen light, so that no white flashes before dawn.
(function () {
  var light = null;
  try {
    light = JSON.parse(localStorage.getItem('steady-trowel/prefs') || '{}').light;
  } catch (error) {
    light = null;
  }
  var colours = { day: '#F6F1E6', sun: '#FFFFFF', 'before-dawn': '#15141C' };
  var colour = colours[light] || colours.day;
  document.documentElement.style.backgroundColor = colour;
  document.documentElement.dataset.light = light || 'day';
  var meta = document.querySelector('meta[name="theme-color"]');
  if (meta) meta.setAttribute('content', colour);
})();
