/** The key of an action, beside its name; not a part of its name, so it is no text. */
export const Key = ({ of }: { of: string }) => (
    <kbd aria-hidden data-key={of} className="font-sans text-[11px] whitespace-nowrap text-quiet after:content-[attr(data-key)]" />
);
