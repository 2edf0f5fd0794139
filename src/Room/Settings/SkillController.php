<?php

declare(strict_types=1);

namespace Octavum\Room\Settings;

use Octavum\Account\Account;
use Octavum\Core\Match\Criteria\Sewist;
use Octavum\Core\Match\Criteria\ToileSchool;
use Octavum\Core\Match\Criteria\Tool;
use Octavum\Core\Pattern\Technique;
use Octavum\Core\Workroom\Settings;
use Octavum\Document\Codec\SettingsCodec;
use Octavum\Input\Entry;
use Octavum\Store\Change\ChangeLog;
use Octavum\Store\Change\Notice;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** What whoever sews would rather not do, wants to learn and has not; Match counts it. */
final class SkillController extends AbstractController
{
    #[Route('/settings/sewing', name: 'settings_sewing', methods: ['POST'])]
    public function save(
        Settings $settings,
        SettingsCodec $codec,
        ChangeLog $changes,
        Entry $entry,
        #[CurrentUser] Account $account,
    ): Response {
        $changed = new Settings(
            $settings->system,
            $settings->counter,
            $settings->currency,
            assumptions: $settings->assumptions,
            dialect: $settings->dialect,
            dates: $settings->dates,
            bothUnits: $settings->bothUnits,
            sewist: new Sewist(
                self::ticked($entry, 'avoids', Technique::cases()),
                self::ticked($entry, 'learns', Technique::cases()),
                self::ticked($entry, 'lacks', Tool::cases()),
                $entry->choice('toiles', ToileSchool::class) ?? $settings->sewist->toiles,
            ),
        );
        $make = static function () use ($account, $codec, $changed): void {
            $account->settings = $codec->write($changed);
        };
        $back = $this->generateUrl('settings').'#sewing';
        $changes->commit([$account], $make, new Notice('How you sew is saved.', [], $back));

        return $this->redirect($back);
    }

    /**
     * @template T of \BackedEnum
     *
     * @param list<T> $cases
     *
     * @return list<T>
     */
    private static function ticked(Entry $entry, string $field, array $cases): array
    {
        $ticked = $entry->typed[$field] ?? [];

        return array_values(array_filter(
            $cases,
            static fn (\BackedEnum $one): bool => \is_array($ticked) && \in_array($one->value, $ticked, true),
        ));
    }
}
