<?php

declare(strict_types=1);

namespace Octavum;

use Octavum\Database\RecordClasses;
use Octavum\Page\CannotWrite;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    protected function build(ContainerBuilder $container): void
    {
        $container->addCompilerPass(new RecordClasses());
    }

    public function handle(Request $request, int $type = HttpKernelInterface::MAIN_REQUEST, bool $catch = true): Response
    {
        $response = parent::handle($request, $type, $catch);
        if (!$request->attributes->getBoolean(CannotWrite::AGAIN)) {
            return $response;
        }
        $this->shutdown();
        $again = new Request(
            $request->query->all(),
            $request->request->all(),
            [CannotWrite::SECOND => true],
            cookies: $request->cookies->all(),
            files: $request->files->all(),
            server: $request->server->all(),
            content: $request->getContent(),
        );

        return parent::handle($again, $type, $catch);
    }
}
