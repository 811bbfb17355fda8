<?php

declare(strict_types=1);

/*
 * The students of the demo studio. `pieces` are opened in this order, one when the one before is half done;
 * `trains` whoever goes to the practice room;
 * `care` is how often a planned day is practised, in per cent, and `ease` how often a task passes.
 */
return [
    ['first_name' => 'Mina', 'initial' => 'K', 'age' => 6, 'weekday' => 1, 'time' => '15:30', 'lesson' => 30, 'path' => 'beat', 'school' => 'landmark', 'level' => 1,
        'days' => [1 => 8, 2 => 8, 3 => 10, 5 => 10, 6 => 10], 'pieces' => ['Two Snails', 'The Gate', 'The Latch'], 'care' => 80, 'ease' => 62, 'span' => 5],
    ['first_name' => 'Theo', 'initial' => 'B', 'age' => 9, 'weekday' => 2, 'time' => '16:15', 'lesson' => 30, 'path' => 'beat', 'school' => 'landmark', 'level' => 2,
        'days' => [1 => 15, 2 => 15, 3 => 15, 4 => 15, 6 => 20], 'pieces' => ['Copper Kettle', 'Paper Boats', 'Uphill on a Saturday'], 'care' => 65, 'ease' => 55, 'span' => 6],
    ['first_name' => 'Ada', 'initial' => 'R', 'age' => 12, 'weekday' => 3, 'time' => '17:00', 'lesson' => 45, 'path' => 'notes', 'school' => 'alphabet', 'level' => 2,
        'days' => [1 => 20, 2 => 20, 4 => 20, 5 => 20, 6 => 25, 7 => 25], 'pieces' => ['Lantern Path', 'The Ladder in the Barn', 'Tin Roof Rain'], 'care' => 88, 'ease' => 75, 'span' => 8],
    ['first_name' => 'Lina', 'initial' => 'S', 'age' => 8, 'weekday' => 4, 'time' => '15:45', 'lesson' => 30, 'path' => 'sound', 'school' => 'phrase', 'level' => 1,
        'days' => [1 => 12, 3 => 12, 5 => 12, 7 => 15], 'pieces' => ['Two Snails', 'Copper Kettle', 'Paper Boats'], 'care' => 50, 'ease' => 40, 'span' => 6, 'trains' => true],
    ['first_name' => 'Jonas', 'initial' => 'W', 'age' => 41, 'weekday' => 4, 'time' => '19:00', 'lesson' => 60, 'path' => 'notes', 'school' => 'landmark', 'level' => 3,
        'days' => [2 => 30, 4 => 30, 6 => 40, 7 => 40], 'pieces' => ['Round the Pond', 'After the Rain', 'Evening Ferry'], 'care' => 70, 'ease' => 70, 'span' => 9],
];
