import { Buffer } from 'node:buffer';

/**
 * The image library builds the functions of its classes out of text, which the page forbids itself (server/app.ts: nothing is evaluated).
 * Here they are closures that do the same, after Emscripten's own for DYNAMIC_EXECUTION=0 (src/embind/embind.js).
 */
const CLOSURES = [
  {
    from: 'return new Function("body","return function "+name+"() {\\n"+\'    "use strict";\'+"    return body.apply(this, arguments);\\n"+"};\\n")(body)}',
    to: 'return{[name]:function(){"use strict";return body.apply(this,arguments)}}[name]}',
  },
  {
    from: 'return new Function("dynCall","rawFunction",body)(dynCall,rawFunction)}',
    to: 'return function(){return dynCall.apply(null,[rawFunction].concat(Array.prototype.slice.call(arguments)))}}',
  },
  {
    after: 'var returns=argTypes[0].name!=="void";',
    until: 'function heap32VectorToArray(',
    to: `var expected=argCount-2;return function(){
if(arguments.length!==expected)throwBindingError("function "+humanName+" called with "+arguments.length+" arguments, expected "+expected+" args!");
var destructors=needsDestructorStack?[]:null,wired=[],thisWired,given=[cppTargetFunc];
if(isClassMethodFunc){thisWired=argTypes[1].toWireType(destructors,this);given.push(thisWired)}
for(var i=0;i<expected;++i){wired[i]=argTypes[i+2].toWireType(destructors,arguments[i]);given.push(wired[i])}
var rv=cppInvokerFunc.apply(null,given);
if(needsDestructorStack)runDestructors(destructors);
else for(var i=isClassMethodFunc?1:2;i<argTypes.length;++i)if(argTypes[i].destructorFunction!==null)argTypes[i].destructorFunction(i===1?thisWired:wired[i-2]);
if(returns)return argTypes[0].fromWireType(rv)}}`,
  },
  {
    after:
      'function __emval_get_method_caller(argCount,argTypes){var types=__emval_lookupTypes(argCount,argTypes);var retType=types[0];',
    until: 'function __emval_get_property(',
    to: `return __emval_addMethodCaller(function(handle,name,destructors,args){
var given=[],offset=0;
for(var i=1;i<argCount;++i){given.push(types[i].readValueFromPointer(args+offset));offset+=types[i]["argPackAdvance"]}
var rv=handle[name].apply(handle,given);
for(var i=1;i<argCount;++i)if(types[i]["deleteObject"])types[i].deleteObject(given[i-1]);
if(!retType.isVoid)return retType.toWireType(destructors,rv)})}`,
  },
];

/** The library carries its WebAssembly as text; a page that connects to itself alone cannot fetch that, and a file is a third smaller. */
const WASM =
  /wasmBinaryFile="data:application\/octet-stream;base64,([^"]+)";if\(!isDataURI\(wasmBinaryFile\)\)\{wasmBinaryFile=locateFile\(wasmBinaryFile\)\}/;

/**
 * The image library as the page may load it.
 * @param wasmPlace address of the second file, from the root
 * @throws where the library is another than the one that this was written for
 */
export function imageLibraryFiles(library, wasmPlace) {
  const made = CLOSURES.reduce((text, { from, after, until, to }) => {
    const start = text.indexOf(from ?? after);
    const end = from ? start + from.length : text.indexOf(until, start);
    if (start < 0 || end < 0 || text.indexOf(from ?? after, start + 1) >= 0)
      throw new Error(
        `The image library has changed: look at scripts/lib/imageLibrary.mjs (${from ?? after}).`,
      );
    return text.slice(0, from ? start : start + after.length) + to + text.slice(end);
  }, library);
  if (/new Function\(|new_\(Function|\beval\(/.test(made)) throw new Error('Text is evaluated still.');
  const wasm = WASM.exec(made)?.[1];
  if (!wasm) throw new Error('The image library has changed: its WebAssembly is not where it was.');
  const script = made.replace(WASM, `wasmBinaryFile=self.location.origin+${JSON.stringify(wasmPlace)};`);
  return { script, wasm: Buffer.from(wasm, 'base64') };
}
