import { useMemo, type ReactNode } from 'react';

/** A page as it will be on paper, as wide as there is room. Our server writes it, with all text escaped and no scripts. */
export function Page({ svg, zoom, children }: { svg: string; zoom: number; children?: ReactNode }) {
    const markup = useMemo(() => ({ __html: svg.slice(svg.indexOf('<svg')) }), [svg]);
    return (
        <div className="relative mb-4 border border-hairline bg-white shadow-sm" data-page style={{ width: `${zoom * 100}%` }}>
            <div className="[&>svg]:block [&>svg]:h-auto [&>svg]:w-full" dangerouslySetInnerHTML={markup} />
            {children}
        </div>
    );
}
