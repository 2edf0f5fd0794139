<?php

declare(strict_types=1);

/** Cloth met in a shop, its length still to be found, labelled before the reader was changed: width and, where said, length in mm. */
return [
    'linen 54"' => ['width' => 1372],
    'viscose 132cm 9.50/m' => ['width' => 1320],
    'jersey 150' => ['width' => 1500],
    '140 linen' => ['width' => 1400],
    'cotton lawn 44 inch' => ['width' => 1118],
    'double gauze 130cm wide' => ['width' => 1300],
    'tweed, 60in, 22 per yard' => ['width' => 1524],
    'denim 58/60"' => ['width' => 1473],
    '112 cm quilting cotton' => ['width' => 1120],
    'silk 90' => ['width' => 900],
    '2 m linen 140' => ['length' => 2000, 'width' => 1400],
    '1.5 yd left on the bolt, 45" wide' => ['length' => 1372, 'width' => 1143],
    'velvet 115' => ['width' => 1150],
    'wool coating 148 cm, 38/m' => ['width' => 1480],
    'satin 3m 150cm' => ['length' => 3000, 'width' => 1500],
    'poplin 36"' => ['width' => 914],
    'rib 80' => ['width' => 800],
    'corduroy 55 in' => ['width' => 1397],
    'crepe, 142' => ['width' => 1420],
    'ponte 160 cm 300 gsm' => ['width' => 1600],
    'chambray 1.45 m wide' => ['width' => 1450],
    'remnant 80 cm by 140 cm' => ['length' => 800, 'width' => 1400],
    'cheesecloth 120cm' => ['width' => 1200],
    'linen' => [],
    '138 wide cotton sateen' => ['width' => 1380],
    'twill 57"' => ['width' => 1448],
    '70 in fleece' => ['width' => 1778],
    'challis 135-140 cm' => ['width' => 1350],
    'interlock 175' => ['width' => 1750],
    'canvas 60 in 1 yard' => ['length' => 914, 'width' => 1524],
];
