<?php

declare(strict_types=1);

/** Notions as envelopes and people write them, labelled before the reader was changed: kind, measure and length in mm, count. */
return [
    'one 7in jeans zip' => ['kind' => 'zip', 'measure' => 178, 'count' => 1],
    'interfacing 0.8m, 90cm wide' => ['kind' => 'interfacing', 'measure' => 900, 'length' => 800],
    'half a metre fusible' => ['kind' => 'interfacing', 'length' => 500],
    '6 shirt buttons 11mm' => ['kind' => 'button', 'measure' => 11, 'count' => 6],
    '22" invisible zipper' => ['kind' => 'zip', 'measure' => 559],
    '3/4 yd of 1" elastic' => ['kind' => 'elastic', 'measure' => 25, 'length' => 686],
    '2.5 m bias binding, 18 mm' => ['kind' => 'bias binding', 'measure' => 18, 'length' => 2500],
    'a 55 cm open-ended zip' => ['kind' => 'zip', 'measure' => 550],
    'two 9 inch zips' => ['kind' => 'zip', 'measure' => 229, 'count' => 2],
    'hook and eye' => ['kind' => 'hook'],
    '3 hooks and eyes' => ['kind' => 'hook', 'count' => 3],
    'ten 5/8" buttons' => ['kind' => 'button', 'measure' => 16, 'count' => 10],
    '1 m fusible interfacing 112 cm wide' => ['kind' => 'interfacing', 'measure' => 1120, 'length' => 1000],
    'elastic, 25mm wide, 80cm' => ['kind' => 'elastic', 'measure' => 25, 'length' => 800],
    '12 snaps' => ['kind' => 'snap', 'count' => 12],
    'a pair of 38mm d-rings' => ['kind' => 'ring', 'measure' => 38, 'count' => 2],
    'thread, 2 reels' => ['kind' => 'thread', 'count' => 2],
    '1.2 m of 6 mm cord' => ['kind' => 'cord', 'measure' => 6, 'length' => 1200],
    'a yard of lightweight fusible' => ['kind' => 'interfacing', 'length' => 914],
    'half a yard of 20 in wide interfacing' => ['kind' => 'interfacing', 'measure' => 508, 'length' => 457],
    '40cm zip x 2' => ['kind' => 'zip', 'measure' => 400, 'count' => 2],
    'a dozen pearl buttons, ½"' => ['kind' => 'button', 'measure' => 13, 'count' => 12],
    'shoulder pads, 1 pair' => ['kind' => 'shoulder pad', 'count' => 1],
    '8 mm elastic 3 metres' => ['kind' => 'elastic', 'measure' => 8, 'length' => 3000],
    'one and a half metres ribbing' => ['kind' => 'ribbing', 'length' => 1500],
    'zip 60cm separating' => ['kind' => 'zip', 'measure' => 600],
    '4 x 15 mm press studs' => ['kind' => 'snap', 'measure' => 15, 'count' => 4],
    'buckle 50mm' => ['kind' => 'buckle', 'measure' => 50],
    'quarter of a yard sew-in interlining' => ['kind' => 'interfacing', 'length' => 229],
    '1 3/8 yd of 1/4" elastic' => ['kind' => 'elastic', 'measure' => 6, 'length' => 1257],
];
