/** Stands where the model would, in a browser that cannot draw it. */
export const NoModel = () => (
  <p className="p-6 font-hand text-graphite">This browser cannot draw in three dimensions; its parts are listed further down.</p>
);
