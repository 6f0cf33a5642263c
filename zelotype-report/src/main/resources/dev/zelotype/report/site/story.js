"use strict";
/* Draws one story and steps through it. Everything that comes from a journal is set as text, never as markup. */
const zelotypeStory = (() => {
  const SVG = "http://www.w3.org/2000/svg";
  const SIGNS = {expected: "✔", allowed: "·", unexpected: "✘", missing: "?"};
  const MEANINGS = {
    expected: "solid line, full head: the test requires it",
    allowed: "solid line, open head: it may happen",
    unexpected: "crossed: the double refused it",
    missing: "dashed and crossed: it did not happen"
  };
  const WORDS = {lost: "may be left out", argument: "another argument", answer: "another answer", callback: "need not call back"};
  const HEADS = 66, TOP = 6, LEFT = 16, GAP = 12, MOST_PRINTED = 2000;

  function element(name, attributes, ...children) {
    const made = document.createElement(name);
    return fill(made, attributes, children);
  }

  function drawn(name, attributes, ...children) {
    return fill(document.createElementNS(SVG, name), attributes, children);
  }

  function fill(made, attributes, children) {
    for (const [key, value] of Object.entries(attributes || {})) {
      if (key.startsWith("on")) made.addEventListener(key.slice(2), value);
      else if (value !== null && value !== false) made.setAttribute(key, value === true ? "" : value);
    }
    for (const child of children) if (child !== null && child !== undefined) made.append(child);
    return made;
  }

  function cut(text, length) {
    const flat = text.replace(/\s+/g, " ");
    return flat.length <= length ? flat : flat.slice(0, length - 1) + "…";
  }

  /* One row a message; a loop adds a row for its head. */
  function rows(story) {
    const all = [];
    for (const item of story.items) {
      if (item.items) {
        item.items.forEach((message, i) => all.push({message, loop: i === 0 ? item : null, inLoop: item, last: i === item.items.length - 1}));
      } else {
        all.push({message: item});
      }
    }
    return all;
  }

  function widths(story, all) {
    const columns = story.lifelines.map(line => Math.max(line.name.length * 8, (line.type || "").length * 6.6, line.role.length * 7) + 26);
    const gaps = columns.slice(1).map((width, i) => Math.max(118, (columns[i] + width) / 2 + GAP));
    for (const {message} of all) {
      const low = Math.min(message.from, message.to), high = Math.max(message.from, message.to);
      if (low === high) continue;
      const wanted = Math.min(330, Math.max(cut(label(message), 44).length * 7.2, cut(message.answer, 44).length * 6.4) + 34);
      let there = 0;
      for (let i = low; i < high; i++) there += gaps[i];
      if (there < wanted) gaps[high - 1] += wanted - there;
    }
    const xs = [LEFT + columns[0] / 2];
    gaps.forEach((gap, i) => xs.push(xs[i] + gap));
    const threads = [...new Set(all.map(row => row.message.thread).filter(Boolean))];
    return {xs, columns, threads, width: xs[xs.length - 1] + columns[columns.length - 1] / 2 + LEFT + 40 + (threads.length > 0 ? 150 : 0)};
  }

  function label(message) {
    return SIGNS[message.mark] + " " + (message.number ? message.number + " " : "") + (message.parallel ? "∥ " : "") + message.text;
  }

  function arrow(x1, x2, y, mark) {
    const group = drawn("g", {});
    const right = x2 >= x1, d = right ? -1 : 1;
    if (x1 === x2) {
      group.append(drawn("path", {class: "arrow", d: `M${x1} ${y - 8} h28 v12 h-26`}));
      group.append(tip(x1 + 2, y + 4, 1, mark));
      return group;
    }
    const end = mark === "unexpected" || mark === "missing" ? x2 + d * 14 : x2;
    group.append(drawn("line", {class: "arrow", x1, y1: y, x2: end + (mark === "expected" ? d * 8 : 0), y2: y}));
    group.append(tip(end, y, d, mark));
    return group;
  }

  function tip(x, y, d, mark) {
    if (mark === "expected") return drawn("path", {class: "tip full", d: `M${x} ${y} l${d * 10} -5 v10 z`});
    if (mark === "allowed") return drawn("path", {class: "tip open", d: `M${x + d * 10} ${y - 5} L${x} ${y} l${d * 10} 5`});
    return drawn("path", {class: "tip open", d: `M${x - 6} ${y - 6} l12 12 m0 -12 l-12 12`});
  }

  /* Where each row begins; a story of any length is laid out in one go, and drawn only where it is visible. */
  function tops(all) {
    const found = new Float64Array(all.length + 1);
    let y = TOP;
    all.forEach((row, i) => {
      found[i] = y;
      y += (row.loop ? 22 : 0) + 34 + (answers(row.message) ? 19 : 0) + (row.inLoop && row.last ? 8 : 0);
    });
    found[all.length] = y;
    return found;
  }

  function answers(message) { return message.answer && message.mark !== "unexpected"; }

  function rowAt(starts, y) {
    let low = 0, high = starts.length - 2;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (starts[middle] <= y) low = middle; else high = middle - 1;
    }
    return Math.max(0, low);
  }

  /* The step of one row, and what frames it, with the row's top at `from`. */
  function step(story, all, index, from, {xs, width, threads}, choose, remarks) {
    const row = all[index];
    const m = row.message, parts = [];
    const found = remarksOn(story, m, remarks);
    let y = from;
    if (row.loop) {
      y += 22;
      parts.push(drawn("text", {class: "type", x: 12, y: y - 3}, "↻ " + number(row.loop.times) + " times"));
    }
    const top = y;
    y += 24;
    const x1 = xs[m.from], x2 = xs[m.to], right = x2 >= x1;
    const group = drawn("g", {class: "step " + m.mark, tabindex: -1, role: "button", "aria-label": label(m) + " " + m.answer + ", " + m.mark, "data-row": index, onclick: () => choose(index)});
    group.append(drawn("title", {}, m.text + (m.answer ? "\n" + m.answer : "") + "\n" + m.mark));
    group.append(arrow(x1, x2, y, m.mark));
    const start = Math.min(x1, x2) + 8;
    group.append(drawn("text", {x: x1 === x2 ? x1 + 34 : start, y: y - 6}, cut(label(m), 46)));
    if (m.mark === "unexpected" || m.mark === "missing") {
      group.append(drawn("text", {class: "word " + m.mark, x: Math.max(x1, x2) + 8, y: y + 4}, m.mark));
    }
    if (answers(m)) {
      y += 19;
      group.append(drawn("line", {class: "back", x1: x2, y1: y, x2: x1, y2: y}));
      group.append(drawn("path", {class: "back solid", d: right ? `M${x1 + 8} ${y - 4} L${x1} ${y} l8 4` : `M${x1 - 8} ${y - 4} L${x1} ${y} l-8 4`}));
      group.append(drawn("text", {class: "reply", x: start, y: y - 4}, cut(m.answer, 46)));
    }
    if (found.length > 0) {
      group.append(drawn("text", {class: "doubt", x: Math.max(x1, x2) + (m.mark === "expected" || m.mark === "allowed" ? 8 : 84), y: y - (answers(m) ? 15 : 0) + 4}, "⚠ " + found.map(each => WORDS[each.change] || each.change).join(", ")));
    }
    y += 10;
    if (m.thread) {
      const earlier = index > 0 && all[index - 1].message.thread === m.thread;
      const shade = threads.indexOf(m.thread) % 3;
      group.prepend(drawn("rect", {class: "thread thread" + shade, x: width - 12, y: top, width: 8, height: y - top + 2}));
      if (!earlier) group.append(drawn("text", {class: "type", x: width - 16, y: top + 12, "text-anchor": "end"}, "thread " + cut(m.thread, 28)));
    }
    group.prepend(drawn("rect", {class: "hit", x: 2, y: top + 2, width: width - 4, height: y - top - 2, rx: 4}));
    return {parts, group};
  }

  function remarksOn(story, message, remarks) {
    return remarks && remarks.get(message.place + " " + story.lifelines[message.to].name) || [];
  }

  function picture(story, all, choose, remarks) {
    const sizes = widths(story, all), {xs, columns, width} = sizes;
    const starts = tops(all), height = starts[all.length] + 16;
    const svg = drawn("svg", {class: "steps", width, role: "group", "aria-label": "Sequence of calls"});
    const room = element("div", {class: "room"}, svg);
    room.style.height = height + "px";
    room.style.width = width + "px";
    const heads = drawn("svg", {class: "heads", width, height: HEADS, viewBox: `0 0 ${width} ${HEADS}`, role: "group", "aria-label": "Who takes part"});
    story.lifelines.forEach((line, i) => {
      const x = xs[i] - columns[i] / 2;
      heads.append(drawn("rect", {class: "head", x, y: 8, width: columns[i], height: 52, rx: line.role === "subject" || line.role === "caller" ? 0 : 9}));
      heads.append(drawn("text", {x: xs[i], y: 24, "text-anchor": "middle", "font-weight": 600}, line.name));
      heads.append(drawn("text", {class: "type", x: xs[i], y: 39, "text-anchor": "middle"}, "«" + line.role + "»"));
      if (line.type && line.type !== line.name) heads.append(drawn("text", {class: "type", x: xs[i], y: 53, "text-anchor": "middle"}, line.type));
    });

    /* Draws the rows that touch this part of the height, loops whole. */
    function draw(low, high) {
      let first = rowAt(starts, low), last = rowAt(starts, high);
      while (first > 0 && all[first].inLoop && !all[first].loop) first--;
      while (last < all.length - 1 && all[last].inLoop && !all[last].last) last++;
      const origin = first === 0 ? 0 : starts[first];
      const end = last === all.length - 1 ? height : starts[last + 1];
      const lines = story.lifelines.map((line, i) => drawn("line", {class: "lifeline", x1: xs[i], y1: 0, x2: xs[i], y2: end - origin - (end === height ? 8 : 0)}));
      const frames = [], steps = [];
      for (let i = first; i <= last; i++) {
        const row = all[i];
        const {parts, group} = step(story, all, i, starts[i] - origin, sizes, choose, remarks);
        frames.push(...parts);
        steps.push(group);
        if (row.loop) {
          let bottom = i;
          while (!all[bottom].last) bottom++;
          const y = starts[i] - origin + 6;
          frames.push(drawn("rect", {class: "frame", x: 6, y, width: width - 12, height: starts[bottom + 1] - origin - 4 - y, rx: 5}));
        }
      }
      svg.setAttribute("height", end - origin);
      svg.style.top = origin + "px";
      svg.replaceChildren(...lines, ...frames, ...steps);
      return {first, last};
    }
    return {heads, room, svg, starts, xs, draw};
  }

  /* The name of a test as people read it: a_humid_night() is a humid night. */
  function readable(title) {
    return /^\w+\([^)]*\)$/.test(title) ? title.replace(/\(.*$/, "").replaceAll("_", " ") : title;
  }

  /* The story as Mermaid draws it; the command line tool writes the same. */
  function mermaid(story) {
    const safe = text => [...text].map(c => /[\p{L}\p{Nd}]/u.test(c) || " .,()[]=_-+*/'!?✔✘·:".includes(c) ? c : "#" + c.codePointAt(0) + ";").join("");
    const arrows = {expected: "->>", allowed: "-)", unexpected: "-x", missing: "--x"};
    const lines = ["sequenceDiagram", ...story.lifelines.map((line, i) => "    participant p" + i + " as " + safe(line.name + " (" + line.role + ")"))];
    const write = (m, indent) => {
      const doubt = m.mark === "unexpected" || m.mark === "missing" ? " [" + m.mark + "]" : "";
      lines.push(indent + "p" + m.from + arrows[m.mark] + "p" + m.to + ": " + safe(SIGNS[m.mark] + " " + (m.number ? m.number + " " : "") + m.text + doubt));
      if (m.answer) lines.push(indent + "p" + m.to + "-->>p" + m.from + ": " + safe(m.answer));
    };
    for (const item of story.items) {
      if (!item.items) { write(item, "    "); continue; }
      lines.push("    loop " + item.times + " times");
      item.items.forEach(message => write(message, "        "));
      lines.push("    end");
    }
    return lines.join("\n") + "\n";
  }

  function number(value) { return value.toLocaleString("en"); }

  function duration(micros) {
    return micros < 1000 ? micros + " µs" : micros < 1e6 ? (micros / 1000).toFixed(1) + " ms" : (micros / 1e6).toFixed(2) + " s";
  }

  function detail(story, message, row, remarks) {
    const pairs = [
      ["Call" + (message.number ? " " + message.number : ""), message.text],
      ["From", story.lifelines[message.from].name + " to " + story.lifelines[message.to].name],
      ["Returned", message.answer || "nothing"],
      ["The test says", SIGNS[message.mark] + " " + message.mark],
      ["Where", message.place || "unknown"]
    ];
    if (message.line) pairs.push(["Call in the source", message.line]);
    if (message.parallel) pairs.push(["Meanwhile", "A call of another thread was still running."]);
    if (message.defaulted) pairs.push(["By default", "No supposition covers this call, so it returned an empty value."]);
    if (message.failedLater) pairs.push(["Failed", "Its future failed, or an exception was passed to a callback."]);
    if (message.thread) pairs.push(["Thread", message.thread]);
    if (message.micros) pairs.push(["When", duration(message.micros) + " after the test's scene opened"]);
    if (message.took >= 0) pairs.push(["Took", duration(message.took)]);
    if (row.inLoop) pairs.push(["Repeated", number(row.inLoop.times) + " times; this is the first"]);
    const list = element("dl", {});
    for (const each of remarksOn(story, message, remarks)) {
      pairs.push(["A challenge found", each.text]);
      if (each.write) pairs.push(["Call: write", each.write]);
    }
    for (const [name, value] of pairs) list.append(element("dt", {}, name), element("dd", {class: name.startsWith("Call") || name === "Returned" ? "code" : null}, value));
    return list;
  }

  /* Shows a story in a place of the page; returns what keys should do. Of the options, `at` is the step to begin with, and
     `moved` is told each step that is chosen. */
  function show(place, story, options) {
    const all = rows(story);
    const calls = all.length;
    let at = calls;
    let timer = null;
    let shown = {first: 0, last: -1};
    let asked = false;
    const {heads, room, svg, starts, xs, draw} = calls === 0 ? {} : picture(story, all, index => { stop(); go(index + 1); }, options.remarks);
    const info = element("div", {class: "detail", "aria-live": "polite"});
    const count = element("span", {class: "soft"});
    const buttons = {
      start: button("|◀ Start", () => { stop(); go(0); }),
      back: button("◀ Back", () => { stop(); go(at - 1); }),
      play: button("▶ Play", toggle),
      next: button("Next ▶", () => { stop(); go(at + 1); }),
      end: button("End ▶|", () => { stop(); go(calls); })
    };
    const copied = element("span", {class: "soft", role: "status"});
    const there = new Set(all.map(row => row.message.mark));
    const legend = element("ul", {class: "legend"}, ...Object.keys(SIGNS).filter(mark => there.has(mark)).map(mark =>
      element("li", {}, element("span", {class: mark}, SIGNS[mark] + " " + mark), " – " + MEANINGS[mark])));
    const frame = element("div", {class: "picture", tabindex: 0, "aria-label": "The conversation; arrow keys step through it", onscroll: look},
      ...(calls === 0 ? [] : [heads, room]));
    place.replaceChildren(
      element("h2", {}, (story.group ? story.group + ": " : "") + readable(story.title) + " ",
        element("span", {class: "outcome " + story.outcome}, (story.outcome === "passed" ? "✔ " : story.outcome === "failed" ? "✘ " : "– ") + story.outcome)),
      story.failure ? element("p", {class: "failure code"}, story.failure) : "",
      calls === 0
        ? element("p", {class: "soft"}, "No calls were recorded.")
        : element("div", {class: "controls"}, ...Object.values(buttons), count,
            element("span", {class: "soft"}, " keys: ← → Home End, space plays"),
            button("Copy as Mermaid", copy), copied),
      calls === 0 ? "" : element("div", {class: "stage"}, frame, info),
      legend,
      story.silent && story.silent.length > 0 ? element("p", {class: "notes"}, "Not called: " + story.silent.join(", ") + ".") : "",
      ...story.notes.map(note => element("p", {class: "notes"}, "Not needed: " + note)));

    function button(text, action) {
      return element("button", {type: "button", onclick: action}, text);
    }

    /* Pages that are opened from a disk may not use the clipboard in every browser; a selection can be copied everywhere. */
    function copy() {
      const area = element("textarea", {"aria-label": "The story as Mermaid", class: "away"});
      area.value = mermaid(story);
      place.append(area);
      area.select();
      copied.textContent = document.execCommand("copy") ? "Copied." : "This browser does not allow copying.";
      area.remove();
    }

    function look() {
      if (asked) return;
      asked = true;
      requestAnimationFrame(() => { asked = false; redraw(false); });
    }

    /* A screen more than is seen is drawn above and below, so that scrolling meets no empty part. */
    function redraw(all) {
      const seen = Math.max(frame.clientHeight, 300);
      const top = frame.scrollTop, bottom = top + seen;
      const enough = rowAt(starts, Math.max(0, top - HEADS)) >= shown.first && rowAt(starts, bottom) <= shown.last;
      if (!enough || all) {
        shown = draw(Math.max(0, top - seen), bottom + seen);
        mark();
      }
    }

    function mark() {
      for (const group of svg.querySelectorAll(".step")) {
        const index = Number(group.dataset.row);
        group.classList.toggle("later", index >= at);
        if (index === at - 1) group.setAttribute("aria-current", "step"); else group.removeAttribute("aria-current");
      }
    }

    function go(to, quiet) {
      at = Math.max(0, Math.min(calls, to));
      info.replaceChildren(at === 0 ? element("p", {class: "soft"}, "Before the first call.") : detail(story, all[at - 1].message, all[at - 1], options.remarks));
      count.textContent = number(at) + " of " + number(calls);
      buttons.start.disabled = buttons.back.disabled = at === 0;
      buttons.next.disabled = buttons.end.disabled = at === calls;
      if (at > 0) {
        const top = starts[at - 1] + HEADS, bottom = starts[at] + HEADS;
        if (top - HEADS < frame.scrollTop || bottom > frame.scrollTop + frame.clientHeight) {
          frame.scrollTop = Math.max(0, top - frame.clientHeight / 2);
        }
        const {from, to: target} = all[at - 1].message;
        const left = Math.min(xs[from], xs[target]), right = Math.max(xs[from], xs[target]);
        if (left < frame.scrollLeft || right > frame.scrollLeft + frame.clientWidth) {
          frame.scrollLeft = Math.max(0, left - 40);
        }
      } else {
        frame.scrollTop = 0;
      }
      redraw(false);
      mark();
      if (!quiet && options.moved) options.moved(at);
    }

    function stop() {
      clearInterval(timer);
      timer = null;
      buttons.play.textContent = "▶ Play";
    }

    function toggle() {
      if (timer) { stop(); return; }
      if (at === calls) go(0);
      buttons.play.textContent = "⏸ Pause";
      timer = setInterval(() => { go(at + 1); if (at === calls) stop(); }, 700);
    }

    function key(event) {
      if (calls === 0 || event.altKey || event.ctrlKey || event.metaKey) return;
      const actions = {ArrowRight: () => go(at + 1), ArrowLeft: () => go(at - 1), Home: () => go(0), End: () => go(calls)};
      const typing = /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName);
      if (typing) return;
      if (actions[event.key]) { stop(); actions[event.key](); event.preventDefault(); }
      else if (event.key === " " && event.target.tagName !== "BUTTON") { toggle(); event.preventDefault(); }
    }

    const print = () => { shown = draw(0, starts[Math.min(calls, MOST_PRINTED)]); mark(); };
    const again = () => redraw(true);
    if (calls > 0) {
      addEventListener("beforeprint", print);
      addEventListener("afterprint", again);
      addEventListener("resize", look);
      if (options.at === undefined) { go(calls, true); frame.scrollTop = 0; redraw(false); } else go(options.at, true);
    }

    function leave() {
      stop();
      removeEventListener("beforeprint", print);
      removeEventListener("afterprint", again);
      removeEventListener("resize", look);
    }
    return {key, leave};
  }

  /* A page that holds one story and no more. */
  function alone() {
    const story = read(JSON.parse(document.getElementById("data").textContent));
    const found = /^#step-(\d{1,9})$/.exec(location.hash);
    const running = show(document.getElementById("story"), story,
      {at: found ? Number(found[1]) : undefined, moved: step => history.replaceState(null, "", "#step-" + step)});
    document.addEventListener("keydown", running.key);
  }

  /* Empty fields are left out of the file, and places are kept in a table. */
  function read(story) {
    let going = null;
    const whole = message => {
      complete(message);
      /* Two calls of different threads that overlap in time. */
      if (going && message.micros && going.thread !== (message.thread || "") && going.end > message.micros) message.parallel = true;
      const end = (message.micros || 0) + Math.max(0, message.took);
      if (!going || end > going.end) going = {thread: message.thread || "", end};
    };
    const complete = message => Object.assign(message, {number: message.number || 0, text: message.text || "", answer: message.answer || "",
      line: message.place === undefined || !story.lines ? "" : story.lines[message.place],
      place: message.place === undefined ? "" : story.places[message.place], took: message.took === undefined ? -1 : message.took});
    for (const item of story.items) if (item.items) item.items.forEach(whole); else whole(item);
    return story;
  }

  if (document.getElementById("data")) document.addEventListener("DOMContentLoaded", alone);
  return {show, read, readable, number, element, mermaid};
})();
