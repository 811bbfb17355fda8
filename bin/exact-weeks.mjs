// The best possible sum of invented weeks, by an exact solver: what the planner is held against (docs/plan.md).
//   node bin/exact-weeks.mjs 60 > tests/Datasets/best-sums.json
import { execFileSync } from 'node:child_process';
import loadSolver from 'highs';

const VALUES = { 'warm-up': 2, remedy: 8, stage: 6, drill: 4, review: 3, theory: 3 };
const times = (factor, names) => names.map((name) => `${factor} ${name}`).join(' ');
const minus = (names) => names.map((name) => ` - ${name}`).join('');

/** A week as a linear program: `x` a task on a day, `f` its first day, `a`, `b`, `c` its first, second and third meeting. */
function program(week) {
    const objective = [];
    const rules = [];
    const whole = [];
    const days = week.days.map((_, day) => day);
    const on = (task, day) => `x${task}_${day}`;
    const first = (task, day) => `f${task}_${day}`;
    week.tasks.forEach((task, i) => {
        const value = VALUES[task.kind] * (task.starred ? 2 : 1);
        objective.push(`${4 * value} a${i} + ${2 * value} b${i} + ${value} c${i}`);
        whole.push(`a${i}`, `b${i}`, `c${i}`, ...days.map((day) => on(i, day)), ...days.map((day) => first(i, day)));
        rules.push(`${times('+ 1', days.map((day) => on(i, day)))} - a${i} - b${i} - c${i} >= 0`);
        rules.push(`b${i} - a${i} <= 0`, `c${i} - b${i} <= 0`);
        rules.push(`${times('+ 1', days.map((day) => first(i, day)))} - a${i} = 0`);
        const holding = week.days.filter((day) => day.minutes >= task.minutes).length;
        if (task.new && ['stage', 'remedy'].includes(task.kind) && holding > 1) rules.push(`b${i} - a${i} >= 0`);
        for (const day of days) {
            rules.push(`${on(i, day)}${minus(days.slice(0, day + 1).map((d) => first(i, d)))} <= 0`);
            rules.push(`${first(i, day)} - ${on(i, day)} <= 0`);
        }
        for (const date of task.locked) rules.push(`${on(i, week.days.findIndex((day) => day.date === date))} >= 1`);
        for (const id of task.waitsFor) {
            const needed = week.tasks.findIndex((other) => other.id === id);
            for (const day of days) {
                const met = days.slice(0, day + 1).map((d) => first(i, d));
                rules.push(`${times('+ 1', met)}${minus(days.slice(0, day).map((d) => first(needed, d)))} <= 0`);
            }
        }
    });
    for (const day of days) {
        rules.push(`${week.tasks.map((task, i) => `${2 * task.minutes} ${on(i, day)}`).join(' + ')} <= ${2 * week.days[day].minutes}`);
        const met = week.tasks.flatMap((task, i) => (task.new ? [first(i, day)] : []));
        if (met.length > 0) rules.push(`${times('+ 1', met)} <= ${week.mostNew}`);
    }
    return `Maximize\n sum: ${objective.join(' + ')}\nSubject To\n${rules.map((rule, i) => ` r${i}: ${rule}`).join('\n')}\nBinary\n ${whole.join(' ')}\nEnd`;
}

const sums = {};
for (let seed = 1; seed <= Number(process.argv[2] ?? 60); seed++) {
    const week = JSON.parse(execFileSync('php', ['artisan', 'nasturtium:plan', `--invent=${seed}`], { encoding: 'utf8' }));
    const solver = await loadSolver();
    const found = solver.solve(program(week), { mip_rel_gap: 0 });
    if (found.Status !== 'Optimal') throw new Error(`week ${seed}: ${found.Status}`);
    sums[seed] = Math.round(found.ObjectiveValue);
}
process.stdout.write(`${JSON.stringify(sums)}\n`);
