"use strict";
/* The report's pages. Everything that comes from a journal is set as text, never as markup. */
const zelotype = (() => {
  const make = zelotypeStory.element;
  const number = zelotypeStory.number;
  const PAGE = 100;
  const page = document.getElementById("page");
  const waiting = new Map();
  const loaded = new Map();
  const filters = {text: "", outcome: "", advice: false};
  const sorting = {column: "", up: true};
  /* A map, since an address may name anything. */
  const PAGES = new Map([["overview", showOverview], ["tests", showTests], ["coverage", showCoverage],
    ["defaulted", showDefaulted], ["unused", showUnused], ["advice", showAdvice], ["challenge", showChallenge]]);
  let data = null;
  let chart = null;
  let running = null;

  function overview(given) {
    data = given;
    data.tests = data.tests.map(([group, title, outcome, calls, advice, failure, test], number) =>
      ({number, group, title, shown: zelotypeStory.readable(title), outcome, calls, advice, failure, test, words: (group + " " + title + " " + zelotypeStory.readable(title) + " " + test + " " + failure).toLowerCase()}));
    if (data.challenge) document.querySelector('nav a[href="#challenge"]').hidden = false;
    addEventListener("hashchange", route);
    addEventListener("keydown", key);
    matchMedia("(prefers-color-scheme: dark)").addEventListener("change", route);
    route();
  }

  function stories(file, given) {
    loaded.set(file, given.map(zelotypeStory.read));
    (waiting.get(file) || []).forEach(act => act());
    waiting.delete(file);
  }

  function route() {
    if (running) running.leave();
    running = null;
    if (chart) chart.destroy();
    chart = null;
    const test = /^#test-(\d{1,9})(?:-step-(\d{1,9}))?$/.exec(location.hash);
    const name = test ? "test" : location.hash.slice(1) || "overview";
    document.querySelectorAll("nav a").forEach(link => {
      if (link.hash === "#" + (name === "test" ? "tests" : name)) link.setAttribute("aria-current", "page");
      else link.removeAttribute("aria-current");
    });
    if (test && Number(test[1]) < data.tests.length) showTest(Number(test[1]), test[2] === undefined ? undefined : Number(test[2]));
    else (PAGES.get(name) || showOverview)();
  }

  function key(event) {
    if (running) running.key(event);
    if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey) return;
    const typing = /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName);
    if (event.key === "/" && !typing) {
      const focus = () => document.querySelector("input[type=search]").focus();
      if (document.querySelector("input[type=search]")) focus();
      else { addEventListener("hashchange", focus, {once: true}); location.hash = "#tests"; }
      event.preventDefault();
    } else if (event.key === "Escape" && location.hash.startsWith("#test-")) {
      location.hash = "#tests";
    }
  }

  function plural(count, word) { return number(count) + " " + word + (count === 1 ? "" : "s"); }

  function short(type) { return type.slice(Math.max(type.lastIndexOf("."), type.lastIndexOf("$")) + 1); }

  function outcome(test) {
    const signs = {passed: "✔ ", failed: "✘ ", aborted: "– "};
    return make("span", {class: "outcome " + test.outcome}, signs[test.outcome] + test.outcome);
  }

  function testLink(test) {
    return make("a", {href: "#test-" + test.number}, test.group + ": " + test.shown);
  }

  function table(heads, rows) {
    return make("div", {class: "wide"}, make("table", {},
      make("thead", {}, make("tr", {}, ...heads)), make("tbody", {}, ...rows)));
  }

  function showOverview() {
    const total = data.tests.length;
    const calls = data.calls.reduce((sum, each) => sum + each[1], 0);
    const other = data.coverage.filter(row => !row.platform);
    const own = other.length === 0 ? data.coverage : other;
    const exercised = own.filter(row => row.called > 0).length;
    const share = Math.round(100 * exercised / own.length);
    const count = (value, text, link) => make("li", {}, make("b", {}, value), link ? make("a", {href: link}, text) : text);
    const busiest = [...data.calls].sort((a, b) => b[1] - a[1]).slice(0, 12);
    const canvas = make("canvas", {role: "img", "aria-label": "Calls of the busiest collaborators: " + busiest.map(([type, n]) => short(type) + " " + n).join(", ")});
    page.replaceChildren(
      make("ul", {class: "counts"},
        count(number(total), "tests", "#tests"),
        count(number(data.outcomes.passed), "passed"),
        count(number(data.outcomes.failed), "failed"),
        data.outcomes.aborted ? count(number(data.outcomes.aborted), "aborted") : "",
        count(number(calls), "calls of doubles"),
        own.length === 0 ? "" : count(share + " %", "of " + plural(own.length, "method") + " exercised", "#coverage"),
        count(number(data.defaulted.reduce((sum, each) => sum + each.times, 0)), "defaulted calls", "#defaulted"),
        count(number(data.unused.length), "unused suppositions", "#unused"),
        count(number(data.advice.length), "pieces of advice", "#advice"),
        data.challenge ? count(number(data.challenge.gaps), data.challenge.gaps === 1 ? "gap" : "gaps", "#challenge") : ""),
      make("h2", {}, "Look at first"),
      ...first(),
      ...trends(),
      make("h2", {}, "Busiest collaborators"),
      busiest.length === 0 ? make("p", {class: "soft"}, "No double was called.") : chartRoom(canvas, busiest.length));
    if (busiest.length > 0) drawChart(canvas, busiest);
    if (data.history.length > 1) drawTrends();
  }

  const TRENDS = [["covered", "methods exercised, %", "--accent", "share"], ["noticed", "disturbed places noticed, %", "--expected", "share"],
    ["tests", "tests", "--ink", "number"], ["failed", "failed", "--unexpected", "number"], ["defaulted", "defaulted calls", "--missing", "number"]];

  /* How the figures went over the reports that were written to this folder. */
  function trends() {
    if (data.history.length < 2) return [];
    const last = data.history[data.history.length - 1], before = data.history[data.history.length - 2];
    const told = TRENDS.filter(([key]) => last[key] !== undefined && before[key] !== undefined).map(([key, name]) => name.replace(", %", "") + " " + number(before[key]) + " → " + number(last[key]) + (name.endsWith("%") ? " %" : ""));
    const canvas = make("canvas", {id: "trends", role: "img", "aria-label": "The last " + data.history.length + " reports. Since the one before: " + told.join(", ")});
    return [make("h2", {}, "Since earlier reports"), make("p", {class: "soft"}, told.join(", ") + "."), chartRoom(canvas, 4)];
  }

  function drawTrends() {
    const style = getComputedStyle(document.documentElement);
    const colour = name => style.getPropertyValue(name).trim();
    const axis = (position, text, more) => Object.assign({position, beginAtZero: true, ticks: {color: colour("--ink"), precision: 0}, grid: {color: colour("--rule")}, title: {display: true, text, color: colour("--ink")}}, more);
    const second = new Chart(document.getElementById("trends"), {
      type: "line",
      data: {labels: data.history.map(each => new Date(each.seconds * 1000).toLocaleString([], {dateStyle: "short", timeStyle: "short"})),
        datasets: TRENDS.filter(([key]) => data.history.some(each => each[key] !== undefined)).map(([key, label, tone, yAxisID]) =>
          ({label, yAxisID, data: data.history.map(each => each[key] === undefined ? null : each[key]), borderColor: colour(tone), backgroundColor: colour(tone), tension: 0, spanGaps: true,
            borderDash: yAxisID === "share" ? [] : [5, 4], pointStyle: yAxisID === "share" ? "circle" : "rect"}))},
      options: {maintainAspectRatio: false, animation: false, plugins: {legend: {labels: {color: colour("--ink"), usePointStyle: true}}},
        scales: {x: {ticks: {color: colour("--ink")}, grid: {display: false}}, share: axis("left", "%", {max: 100}), number: axis("right", "number", {grid: {display: false}})}}
    });
    const first = chart;
    chart = {destroy() { if (first) first.destroy(); second.destroy(); }};
  }

  function chartRoom(canvas, bars) {
    const room = make("div", {class: "chart"}, canvas);
    room.style.height = 70 + bars * 30 + "px";
    return room;
  }

  /* Failed tests, broken claims and what a challenge found, the worst first. */
  function first() {
    const failed = data.tests.filter(test => test.outcome === "failed");
    const gaps = data.challenge ? data.challenge.places.filter(place => place.found === "gap") : [];
    const parts = brokenClaims();
    if (failed.length > 0) {
      parts.unshift(table([make("th", {}, "Failed test"), make("th", {}, "Why")],
        failed.slice(0, 50).map(test => make("tr", {}, make("td", {}, testLink(test)), make("td", {class: "code"}, test.failure)))));
    }
    parts.push(...gaps.slice(0, 5).map(place => make("div", {class: "remark gap"}, make("p", {}, make("a", {href: "#challenge"}, "Gap"), ": " + place.text))));
    const kept = data.claims.length > 0 ? ", " + plural(data.claims.length, "claim") + " checked against real objects kept" : "";
    return parts.length === 0 ? [make("p", {class: "soft"}, "Nothing: no test failed" + kept + ".")] : parts;
  }

  function drawChart(canvas, busiest) {
    const style = getComputedStyle(document.documentElement);
    const ink = style.getPropertyValue("--ink").trim(), rule = style.getPropertyValue("--rule").trim();
    const still = matchMedia("(prefers-reduced-motion: reduce)").matches;
    chart = new Chart(canvas, {
      type: "bar",
      data: {labels: busiest.map(([type]) => short(type)), datasets: [{label: "calls", data: busiest.map(each => each[1]), backgroundColor: style.getPropertyValue("--accent").trim(), maxBarThickness: 22}]},
      options: {
        indexAxis: "y", maintainAspectRatio: false, animation: still ? false : {duration: 250},
        plugins: {legend: {display: false}, tooltip: {callbacks: {title: items => busiest[items[0].dataIndex][0]}}},
        scales: {
          x: {beginAtZero: true, ticks: {color: ink, precision: 0}, grid: {color: rule}, title: {display: true, text: "calls", color: ink}},
          y: {ticks: {color: ink}, grid: {display: false}}
        }
      }
    });
  }

  function showTests() {
    const found = make("div", {});
    const count = make("span", {class: "soft", "aria-live": "polite"});
    const search = make("input", {type: "search", placeholder: "Name, class or failure ( / )", "aria-label": "Search tests", value: filters.text,
      oninput: () => { filters.text = search.value; list(PAGE); }});
    const wanted = make("select", {"aria-label": "Outcome", onchange: () => { filters.outcome = wanted.value; list(PAGE); }},
      ...["", "passed", "failed", "aborted"].map(value => make("option", {value, selected: filters.outcome === value}, value || "any outcome")));
    const advised = make("input", {type: "checkbox", id: "advised", checked: filters.advice, onchange: () => { filters.advice = advised.checked; list(PAGE); }});
    page.replaceChildren(make("h2", {}, "Tests"),
      make("div", {class: "filters"}, search, wanted, make("span", {}, advised, " ", make("label", {for: "advised"}, "with advice")), count), found);
    list(PAGE);

    function list(shown) {
      const words = filters.text.toLowerCase().split(/\s+/).filter(Boolean);
      const fitting = data.tests.filter(test => words.every(word => test.words.includes(word))
        && (!filters.outcome || test.outcome === filters.outcome) && (!filters.advice || test.advice > 0));
      count.textContent = number(fitting.length) + " of " + plural(data.tests.length, "test");
      found.replaceChildren(
        table([make("th", {}, "Class"), make("th", {}, "Test"), make("th", {}, "Outcome"), make("th", {class: "number"}, "Calls")],
          fitting.slice(0, shown).map(test => make("tr", {}, make("td", {}, test.group),
            make("td", {}, make("a", {href: "#test-" + test.number, title: test.title}, test.shown)),
            make("td", {}, outcome(test)), make("td", {class: "number"}, number(test.calls))))),
        fitting.length > shown ? make("p", {class: "more"}, make("button", {type: "button", onclick: () => list(shown + PAGE * 5)}, "Show more")) : "");
    }
  }

  function showTest(index, step) {
    const file = Math.floor(index / data.perFile);
    if (!loaded.has(file)) {
      const first = !waiting.has(file);
      if (first) waiting.set(file, []);
      waiting.get(file).push(route);
      page.replaceChildren(make("p", {class: "soft"}, "Reading ..."));
      if (first) document.head.append(make("script", {src: "data/stories-" + file + ".js",
        onerror: () => page.replaceChildren(make("p", {class: "failure"}, "The file data/stories-" + file + ".js is missing. Write the report again."))}));
      return;
    }
    const place = make("div", {});
    const other = (to, text) => data.tests[to] ? make("a", {href: "#test-" + to}, text) : "";
    page.replaceChildren(
      make("p", {class: "filters"}, make("a", {href: "#tests"}, "← All tests"), other(index - 1, "previous test"), other(index + 1, "next test"),
        make("span", {class: "soft code"}, data.tests[index].test)),
      place);
    running = zelotypeStory.show(place, loaded.get(file)[index % data.perFile],
      {at: step, remarks: remarks(data.tests[index]), moved: chosen => history.replaceState(null, "", "#test-" + index + "-step-" + chosen)});
  }

  /* What a challenge found at the calls of a test, by place and double. */
  function remarks(test) {
    const found = new Map();
    if (!data.challenge) return found;
    const name = test.group + ": " + test.title;
    for (const each of data.challenge.places) {
      if (["note", "question", "minor"].includes(each.found) || !each.tests.some(reaching => reaching === name || reaching.endsWith(": " + test.title))) continue;
      const key = each.place + " " + each.to;
      if (!found.has(key)) found.set(key, []);
      found.get(key).push(each);
    }
    return found;
  }

  const FOUND = [["gap", "Gaps: changes that no test noticed"], ["unclear", "Unclear: tests crash, so it is unclear whether a check would notice"], ["question", "Questions: changes that no test noticed, and that a test could cover"], ["minor", "In logging, metrics or audit: does not count"], ["note", "Worth knowing"]];

  function showChallenge() {
    const challenge = data.challenge;
    if (!challenge) {
      page.replaceChildren(make("h2", {}, "Challenge"), make("p", {}, "The tests of this journal were not challenged. ",
        make("code", {}, "zelotype challenge --journal"), " adds the findings of a challenge here."));
      return;
    }
    const all = challenge.noticed + challenge.gaps;
    const share = 100 * challenge.noticed / all;
    const byName = new Map(data.tests.map(test => [test.group + ": " + test.title, test]));
    page.replaceChildren(make("h2", {}, "Challenge: can these tests fail?"),
      make("p", {class: "soft"}, "Each test ran again with one change at a time between its subject and a double. Changes that some test noticed are not listed."),
      make("ul", {class: "counts"},
        all === 0
          ? make("li", {}, make("b", {}, "–"), "no place was disturbed")
          : make("li", {}, make("b", {}, share.toFixed(1) + " %"), "of " + plural(all, "disturbed place") + " noticed"),
        make("li", {}, make("b", {}, number(challenge.gaps)), challenge.gaps === 1 ? "gap" : "gaps"),
        make("li", {}, make("b", {}, number(challenge.runs)), "disturbed runs of " + plural(challenge.tests.length, "test")),
        challenge.complete ? "" : make("li", {}, make("b", {}, "–"), "not complete: stopped, or the time was up")),
      ...FOUND.flatMap(([found, title]) => {
        const these = challenge.places.filter(each => each.found === found);
        return these.length === 0 ? [] : [make("h3", {}, title + " (" + number(these.length) + ")"), ...these.map(each => remark(each, byName))];
      }),
      make("h3", {}, "Tests"),
      table([make("th", {}, "Test"), make("th", {class: "number"}, "Noticed"), make("th", {class: "number"}, "Not noticed"), make("th", {class: "number"}, "Unclear")],
        challenge.tests.slice(0, 1000).map(([name, noticed, unnoticed, unclear]) => make("tr", {}, make("td", {}, byName.has(name) ? testLink(byName.get(name)) : name),
          make("td", {class: "number"}, number(noticed)), make("td", {class: "number"}, number(unnoticed)), make("td", {class: "number"}, number(unclear))))));
  }

  function remark(each, byName) {
    const links = [];
    each.tests.slice(0, 5).forEach((name, i) => links.push(i ? ", " : "", byName && byName.has(name) ? testLink(byName.get(name)) : name));
    return make("div", {class: "remark " + each.found},
      make("p", {}, each.text),
      each.write ? make("p", {}, "Write ", make("code", {}, each.write)) : "",
      each.found === "note" ? "" : make("p", {class: "soft"}, "In ", ...links, each.tests.length > 5 ? " and others" : ""));
  }

  function brokenClaims() {
    const broken = data.claims.filter(claim => claim.failure !== "");
    if (broken.length === 0) return [];
    return [make("p", {}, "Claims checked against real objects: " + plural(data.claims.length - broken.length, "claim") + " kept, " + broken.length + " broken."),
      ...broken.map(claim => make("div", {class: "broken"}, make("p", {}, make("b", {}, short(claim.real)), " breaks the claim ", make("code", {}, claim.text), " at " + claim.place),
        make("p", {class: "soft"}, claim.failure),
        claim.times > 0 ? make("p", {class: "soft"}, "Tests that rely on it: ", ...tests(claim), claim.times > claim.tests.length ? " and others" : "") : ""))];
  }

  function showCoverage() {
    const found = make("div", {});
    const search = make("input", {type: "search", placeholder: "Type or method ( / )", "aria-label": "Search methods", oninput: () => list()});
    const never = make("input", {type: "checkbox", id: "never", onchange: () => list()});
    const foreign = make("input", {type: "checkbox", id: "foreign", onchange: () => list()});
    foreign.checked = data.coverage.every(row => row.platform);
    const unfailing = make("input", {type: "checkbox", id: "unfailing", onchange: () => list()});
    page.replaceChildren(make("h2", {}, "Coverage of collaborators"),
      make("p", {class: "soft"}, "The number of tests in which each method of a doubled type was supposed, expected, verified and called, and in which it failed: it threw, returned a future that failed, or passed an exception to a callback. Backed: how many of its supposed answers were confirmed by a real object."),
      make("div", {class: "filters"}, search, make("span", {}, never, " ", make("label", {for: "never"}, "never called")),
        make("span", {}, unfailing, " ", make("label", {for: "unfailing"}, "never tested failing")),
        data.coverage.some(row => row.platform) ? make("span", {}, foreign, " ", make("label", {for: "foreign"}, "types of the platform as well")) : ""), found);
    list();

    function head(name, column, numeric, meaning) {
      const here = sorting.column === column;
      return make("th", {class: numeric ? "number" : null, "aria-sort": here ? (sorting.up ? "ascending" : "descending") : null},
        make("button", {type: "button", title: meaning ?? null, onclick: () => { sorting.up = here ? !sorting.up : true; sorting.column = column; list(); }},
          name + (here ? (sorting.up ? " ↑" : " ↓") : "")));
    }

    function list() {
      const words = search.value.toLowerCase().split(/\s+/).filter(Boolean);
      const rows = data.coverage.filter(row => (foreign.checked || !row.platform) && (!never.checked || row.called === 0) && (!unfailing.checked || (row.called > 0 && row.failed === 0))
        && words.every(word => (row.type + "." + row.method).toLowerCase().includes(word)));
      const value = row => row[sorting.column];
      if (sorting.column) rows.sort((a, b) => (value(a) < value(b) ? -1 : value(a) > value(b) ? 1 : 0) * (sorting.up ? 1 : -1));
      found.replaceChildren(table(
        [head("Type", "type"), head("Method", "method"), head("Supposed", "supposed", true), head("Expected", "expected", true), head("Verified", "verified", true), head("Called", "called", true), head("Failed", "failed", true), head("Backed", "backed", true, "supposed answers that were confirmed by a real object")],
        sorting.column ? rows.slice(0, 1000).map(row => method(row, make("td", {title: row.type}, short(row.type)))) : grouped(rows.slice(0, 1000))),
        rows.length > 1000 ? make("p", {class: "soft"}, "1,000 of " + number(rows.length) + " methods: search for the others.") : "",
        rows.length === 0 ? make("p", {class: "soft"}, "No method fits.") : "");
    }
  }

  function method(row, first) {
    return make("tr", {}, first, make("td", {class: "code"}, row.method),
      ...["supposed", "expected", "verified"].map(column => make("td", {class: "number"}, row[column] === 0 ? make("span", {class: "soft"}, "0") : number(row[column]))),
      make("td", {class: "number"}, row.called === 0 ? make("span", {class: "never"}, "never") : number(row.called)),
      make("td", {class: "number"}, row.called === 0 ? "" : row.failed === 0 ? make("span", {class: "soft"}, "never") : number(row.failed)),
      make("td", {class: "number", title: "supposed answers that were confirmed by a real object"}, row.answers === 0 ? "" : row.broken > 0 ? make("span", {class: "never"}, row.broken + " broken") : row.backed + " of " + row.answers));
  }

  /* Each type with the share of its methods that a test calls, one's own types first. */
  function grouped(rows) {
    const types = new Map();
    for (const row of rows) {
      if (!types.has(row.type)) types.set(row.type, []);
      types.get(row.type).push(row);
    }
    const order = [...types].sort(([a, x], [b, y]) => !!x[0].platform - !!y[0].platform || (short(a) < short(b) ? -1 : 1));
    return order.flatMap(([type, methods]) => {
      const called = methods.filter(row => row.called > 0).length;
      return [make("tr", {class: "group"}, make("th", {colspan: 2, scope: "rowgroup", title: type}, short(type)),
        make("td", {colspan: 6}, make("meter", {min: 0, max: methods.length, value: called, "aria-label": "share of methods called"}), " " + called + " of " + plural(methods.length, "method") + " called")),
        ...methods.map(row => method(row, make("td", {})))];
    });
  }

  function foundList(title, explanation, all, none) {
    page.replaceChildren(make("h2", {}, title), make("p", {class: "soft"}, explanation),
      all.length === 0 ? make("p", {}, none) : table([make("th", {}, "What"), make("th", {class: "number"}, "Times"), make("th", {}, "Tests")],
        [...all].sort((a, b) => b.times - a.times).slice(0, 1000).map(each => make("tr", {}, make("td", {class: "code", title: each.text}, each.text),
          make("td", {class: "number"}, number(each.times)), make("td", {}, ...tests(each))))));
  }

  function tests(found) {
    const links = [];
    found.tests.forEach((test, i) => links.push(i ? ", " : "", testLink(data.tests[test])));
    return links;
  }

  function showDefaulted() {
    const types = new Map();
    for (const each of data.defaulted) {
      if (!types.has(each.type)) types.set(each.type, []);
      types.get(each.type).push(each);
    }
    const order = [...types].sort(([, a], [, b]) => sum(b) - sum(a)).slice(0, 300);
    page.replaceChildren(make("h2", {}, "Defaulted calls"),
      make("p", {class: "soft"}, "No supposition covers these calls, so the subject continued with an empty value. Suppose an answer if it matters."),
      types.size === 0 ? make("p", {}, "Every call with a result has a supposition.") : table([make("th", {}, "What"), make("th", {class: "number"}, "Times"), make("th", {}, "Tests")],
        order.flatMap(([type, all]) => [
          make("tr", {class: "group"}, make("th", {scope: "rowgroup", title: type}, short(type)), make("td", {class: "number"}, number(sum(all))), make("td", {})),
          ...all.sort((a, b) => b.times - a.times).map(each => make("tr", {},
            make("td", {}, make("span", {class: "code", title: each.text}, each.text.slice(type.length + 1)), each.closest ? make("div", {class: "soft"}, "Supposed is ", make("span", {class: "code"}, each.closest), ".") : ""),
            make("td", {class: "number"}, number(each.times)), make("td", {}, ...tests(each))))])));
  }

  function sum(all) { return all.reduce((total, each) => total + each.times, 0); }

  function showUnused() {
    foundList("Unused suppositions", "No call used these suppositions. Delete them, or find out why the subject did not make the call. The list also contains other notes.",
      data.unused, "Every supposition was used.");
  }

  function showAdvice() {
    const kinds = new Map();
    for (const each of data.advice) {
      if (!kinds.has(each.title)) kinds.set(each.title, []);
      kinds.get(each.title).push(each);
    }
    page.replaceChildren(make("h2", {}, "Advice"),
      make("p", {class: "soft"}, "Tests that probably require more than intended. Hints, not verdicts: you know what matters."),
      ...(kinds.size === 0 ? [make("p", {}, "None: no test looks over-specified.")] : []),
      ...[...kinds].flatMap(([title, all]) => [
        make("h3", {}, title + " (" + number(all.length) + ")"), make("p", {}, all[0].reason),
        ...all.slice(0, 200).map(each => make("div", {class: "advice"},
          make("p", {class: "code"}, each.statement, " ", make("span", {class: "soft"}, each.place)),
          make("p", {}, "Milder: " + each.milder + "."),
          make("p", {class: "soft"}, "In ", ...tests(each), each.times > each.tests.length ? " and others" : "")))
      ]));
  }

  return {overview, stories};
})();
