// The best possible sums of invented weeks, by an exact solver: what the planner is held against (docs/plan.md).
//   node bin/exact-weeks.mjs 60 > tests/Datasets/best-sums.json
import { execFileSync } from 'node:child_process';
import loadSolver from 'highs';

const PREPARES = ['glance', 'preparation', 'drill'];
const terms = (factor, names) => names.map((name) => `${factor} ${name}`).join(' ');

/** A week as a linear program: `x` a task on a day, `f` its first day, `m` its meetings, in order. */
function program({ week, room, gains, open, locked, twice, neverLast, canBegin }) {
    const objective = [];
    const rules = [];
    const whole = [];
    const days = week.days.map((_, day) => day);
    const on = (task, day) => `x${task}_${day}`;
    const first = (task, day) => `f${task}_${day}`;
    const meeting = (task, at) => `m${task}_${at}`;
    const upTo = (task, day) => days.slice(0, day + 1).map((d) => first(task, d));
    const stands = (task) => days.map((day) => first(task, day));
    const rule = (left, right) => left !== '' && rules.push(`${left} ${right}`);
    const at = Object.fromEntries(week.tasks.map((task, i) => [task.id, i]));
    const theory = week.tasks.flatMap((task, i) =>
        task.class === 'theory' && days.some((day) => (open[i] >> day) & 1 && room[day] >= 2 * task.minutes) ? [i] : [],
    );
    const fresh = days.map(() => []);
    week.tasks.forEach((task, i) => {
        gains[i].forEach((gain, n) => objective.push(`${gain} ${meeting(i, n)}`));
        whole.push(...gains[i].map((_, n) => meeting(i, n)), ...days.map((day) => on(i, day)), ...stands(i));
        const meetings = gains[i].map((_, n) => meeting(i, n));
        rule(`${terms('+ 1', days.map((day) => on(i, day)))} ${terms('- 1', meetings)}`, '= 0');
        rule(`${terms('+ 1', stands(i))} ${meetings.length > 0 ? `- ${meetings[0]}` : ''}`, '= 0');
        for (let n = 1; n < meetings.length; n++) rule(`${meetings[n]} - ${meetings[n - 1]}`, '<= 0');
        if (twice[i] && meetings.length > 1) rule(`${meetings[1]} - ${meetings[0]}`, '>= 0');
        if (neverLast[i]) rule(first(i, days.length - 1), '<= 0');
        if (meetings.length > 2) for (const t of theory) if (t !== i) rule(`${meetings[2]} ${terms('- 1', stands(t))}`, '<= 0');
        for (const day of days) {
            if (!((open[i] >> day) & 1)) rule(on(i, day), '<= 0');
            if ((locked[i] >> day) & 1) rule(on(i, day), '>= 1');
            rule(`${on(i, day)} ${terms('- 1', upTo(i, day))}`, '<= 0');
            rule(`${first(i, day)} - ${on(i, day)}`, '<= 0');
        }
        for (const id of task.waitsFor) {
            const same = PREPARES.includes(task.class) || PREPARES.includes(week.tasks[at[id]].class);
            for (const day of days) rule(`${terms('+ 1', upTo(i, day))} ${terms('- 1', upTo(at[id], same ? day : day - 1))}`, '<= 0');
        }
        const page = week.tasks.flatMap((other, o) => (other.page !== null && other.page === task.page && o !== i ? [o] : []));
        if (task.class === 'preparation') {
            const playing = page.filter((o) => week.tasks[o].class === 'playing');
            if (task.new && !task.begun && playing.length > 0) {
                rule(`${terms('+ 1', stands(i))} ${terms('- 1', playing.flatMap(stands))}`, '<= 0');
            }
            for (const o of playing) {
                const other = week.tasks[o];
                if (!other.new || !other.waitsFor.some((id) => week.tasks[at[id]].class === 'playing')) continue;
                for (const day of days.slice(1)) rule(`${on(i, day)} ${terms('+ 1', upTo(o, day - 1))}`, '<= 1');
            }
        }
        if (task.class === 'glance') {
            for (const o of page) {
                if (week.tasks[o].class === 'glance') continue;
                for (const day of days.slice(1)) rule(`${first(i, day)} ${terms('+ 1', upTo(o, day - 1))}`, '<= 1');
            }
        }
        if (task.new && task.class === 'remedy') for (const day of days) fresh[day].push(`r${day}`);
    });
    const pages = [...new Set(week.tasks.map((task) => task.page))];
    for (const page of pages) {
        const of = week.tasks.flatMap((task, i) => (task.page === page && task.new ? [i] : []));
        const playing = of.filter((i) => week.tasks[i].class === 'playing');
        const preparation = of.filter((i) => week.tasks[i].class === 'preparation');
        const name = page ?? '';
        const toBegin = page !== null && playing.length > 0 && !week.tasks[playing[0]].begun;
        if (toBegin && canBegin) {
            whole.push(`g${name}`);
            objective.push(`100000 g${name}`);
            rule(`g${name} ${terms('- 1', playing.flatMap(stands))}`, '<= 0');
        }
        for (const day of days) {
            for (const i of playing) fresh[day].push(first(i, day));
            if (preparation.length === 0 || page === null) continue;
            const prepared = `p${name}_${day}`;
            whole.push(prepared);
            fresh[day].push(prepared);
            for (const i of preparation) rule(`${first(i, day)} - ${prepared}`, '<= 0');
            if (!toBegin) continue;
            // With the first playing of its page, preparation of the same day is one new thing.
            const free = `z${name}_${day}`;
            whole.push(free);
            fresh[day].push(`- ${free}`);
            rule(`${free} - ${prepared}`, '<= 0');
            rule(`${free} ${terms('- 1', playing.map((i) => first(i, day)))}`, '<= 0');
            if (day > 0) for (const i of playing) rule(`${free} ${terms('+ 1', upTo(i, day - 1))}`, '<= 1');
        }
    }
    for (const day of days) {
        const sizes = week.tasks.flatMap((task, i) => {
            const more = Math.round(2 * (task.minutesFirst - task.minutes));
            return [`${2 * task.minutes} ${on(i, day)}`, ...(more > 0 ? [`${more} ${first(i, day)}`] : [])];
        });
        rule(sizes.join(' + '), `<= ${room[day]}`);
        const places = week.tasks.flatMap((task, i) => (['warm-up', 'glance'].includes(task.class) ? [] : [on(i, day)]));
        rule(terms('+ 1', places), `<= ${week.mostTasks}`);
        const remedies = week.tasks.flatMap((task, i) => (task.new && task.class === 'remedy' ? [first(i, day)] : []));
        const count = [...new Set(fresh[day])];
        if (remedies.length > 0) {
            rule(`r${day} ${terms('- 1', remedies)}`, '>= -1');
        }
        if (count.length > 0) rule(count.map((name) => (name.startsWith('-') ? name : `+ ${name}`)).join(' '), `<= ${week.mostNew}`);
    }
    return `Maximize\n sum: ${objective.join(' + ')}\nSubject To\n${rules.map((one, i) => ` r_${i}: ${one}`).join('\n')}\nBinary\n ${whole.join(' ')}\nEnd`;
}

const many = process.argv[2] ?? '60';
const weeks = JSON.parse(execFileSync('php', ['tests/exact-rules.php', many], { encoding: 'utf8', maxBuffer: 1 << 28 }));
const sums = {};
const ratios = [];
for (const [seed, week] of Object.entries(weeks)) {
    const solver = await loadSolver();
    const found = solver.solve(program(week), { mip_rel_gap: 0, time_limit: 120 });
    if (found.Status !== 'Optimal') {
        process.stderr.write(`week ${seed}: ${found.Status}\n`);
        continue;
    }
    sums[seed] = Math.round(found.ObjectiveValue) % 100000;
    ratios.push(week.planned / Math.max(1, sums[seed]));
    if (week.planned !== sums[seed]) process.stderr.write(`week ${seed}: planned ${week.planned}, best ${sums[seed]}\n`);
}
const mean = ratios.reduce((sum, one) => sum + one, 0) / ratios.length;
process.stderr.write(`mean ${(100 * mean).toFixed(2)} %, worst ${(100 * Math.min(...ratios)).toFixed(2)} % of the best\n`);
process.stdout.write(`${JSON.stringify(sums)}\n`);
